// npm run reset-password -- EMAIL: a link by which somebody sets a new password. Whoever has this machine has the database anyway.
import { createHash, randomBytes } from 'node:crypto';
import postgres from 'postgres';
import { Cluster } from './lib/postgres.mjs';
import { main, Refusal, say } from './lib/say.mjs';
import { checkMachine, ensurePackages } from './lib/setup.mjs';

const HOUR = 60 * 60_000;

await main(async () => {
  const [email] = process.argv.slice(2);
  if (!email) throw new Refusal('Whose? npm run reset-password -- EMAIL');
  checkMachine();
  ensurePackages();
  const cluster = process.env.DATABASE_URL ? null : new Cluster('pg');
  await cluster?.start();
  const sql = postgres(process.env.DATABASE_URL || cluster.url('guanxi'), { max: 1, onnotice: () => {} });
  try {
    const [user] = await sql`select id, name from "user" where lower(email) = lower(${email})`;
    if (!user) throw new Refusal(`Nobody has an account as ${email}.`);
    const token = randomBytes(32).toString('base64url');
    // Only the hash is kept: whoever reads the database cannot use it.
    const kept = createHash('sha256').update(`reset-password:${token}`).digest('base64url');
    await sql`insert into verification (id, identifier, value, expires_at)
      values (${randomBytes(16).toString('hex')}, ${kept}, ${user.id}, ${new Date(Date.now() + HOUR)})`;
    say(
      `${user.name} sets a new password within an hour at  ADDRESS/reset/${token}  (ADDRESS: where Guanxi is reached).`
    );
  } finally {
    await sql.end();
    // One that was running belongs to whoever started it.
    if (cluster && !cluster.wasRunning) cluster.stop();
  }
});

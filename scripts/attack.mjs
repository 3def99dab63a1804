// npm run attack: kills and bad input against a server of its own on loopback, with a database that is thrown away. Prints one table.
import { Copy } from './attack/copy.mjs';
import { kills } from './attack/kills.mjs';
import { main, say } from './lib/say.mjs';
import { checkMachine, ensureBuild, ensurePackages } from './lib/setup.mjs';

await main(async () => {
  checkMachine();
  ensurePackages();
  ensureBuild();
  const rounds = Number(process.argv[2] ?? 40);
  const copy = new Copy();
  try {
    await copy.start();
    const rows = await kills(copy, rounds);
    const width = Math.max(...rows.map(([name]) => name.length));
    for (const [name, value] of rows) say(`${name.padEnd(width)}  ${value}`);
    const lost = rows.find(([name]) => name === 'of them lost')[1];
    process.exitCode = lost === '0' ? 0 : 1;
  } finally {
    await copy.end();
  }
});

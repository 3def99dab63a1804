import { readFileSync } from 'node:fs';

/** How much is exported, GB; a little first, to see what the server needs for any. */
const SIZES = [0.2, Number(process.env.GIGABYTES ?? 5)];
/** Of one picture, MB. */
const PICTURE = 4;
/** Memory that the larger may take more than the smaller, MB: what a pause of the collector leaves lying. */
const MORE = 150;

/** Most memory that a process has had so far, MB. */
const peakOf = (pid) => Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024;

/** *Export everything* of a crew with gigabytes of pictures: whole, and in no more memory than little takes. */
export async function large(copy, show) {
  const rows = [];
  let first = 0;
  let there = 0;
  for (const size of SIZES) {
    const want = Math.ceil((size * 1024) / PICTURE);
    // Made by the database: what is tried is the way out, not the way in. Every picture is other bytes, and no two of a kilobyte alike compress.
    await copy.ask(async (sql) => {
      for (; there < want; there++)
        await sql`insert into photo (id, crew_id, show_id, line_id, type, bytes)
          select gen_random_uuid(), crew_id, id, 'x', 'image/jpeg',
            (select string_agg(sha512(convert_to(${String(there)} || k::text, 'UTF8')), '') from generate_series(1, ${(PICTURE * 2 ** 20) / 64}::int) k)
          from show where id = ${show}`;
    });
    const begun = Date.now();
    const answer = await fetch(`${copy.url}/api/export`);
    let bytes = 0;
    let end = '';
    for await (const some of answer.body) {
      bytes += some.length;
      end = (end + Buffer.from(some.slice(-200)).toString()).slice(-200);
    }
    const peak = peakOf(copy.server());
    const whole = /\{"end":\d+,"sha256":"[0-9a-f]{64}"\}\n$/.test(end);
    const more = first === 0 ? 0 : peak - first;
    rows.push({
      what: `everything exported, ${size} GB of pictures`,
      found: `${(bytes / 2 ** 30).toFixed(1)} GB in ${((Date.now() - begun) / 1000).toFixed(0)} s, ${whole ? 'whole' : 'cut short'}; the server at ${peak.toFixed(0)} MB at most`,
      held: whole && bytes >= want * PICTURE * 2 ** 20 && more <= MORE
    });
    first ||= peak;
  }
  return rows;
}

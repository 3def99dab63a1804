import { run } from './commands';
import { Wrong } from './inputs';

/** The core from a shell. Results on stdout, errors on stderr with exit code 2. */
try {
  const args = process.argv.slice(2);
  const { data, text } = run(args.filter((a) => a !== '--json'));
  console.log(args.includes('--json') ? JSON.stringify(data) : text);
} catch (error) {
  console.error(error instanceof Wrong ? error.message : error);
  process.exitCode = 2;
}

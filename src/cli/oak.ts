import { runOak } from './runOak';

const { status, stdout, stderr } = runOak(process.argv.slice(2));
// Whoever reads only the beginning closes the pipe.
process.stdout.on('error', () => undefined);
process.stdout.write(stdout);
process.stderr.write(stderr);
process.exitCode = status;

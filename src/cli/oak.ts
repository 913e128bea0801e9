import { runOak } from './runOak';

const { status, stdout, stderr } = runOak(process.argv.slice(2));
process.stdout.write(stdout);
process.stderr.write(stderr);
process.exitCode = status;

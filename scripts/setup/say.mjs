/** One line of progress. */
export const say = (text) => process.stdout.write(`  ${text}\n`);

/** A failure that the person at the keyboard can mend: printed as one line, without a stack. */
export class Trouble extends Error {}

/** What opening, making or replacing a file says where a link leads nowhere or something else is in its place. */
const LINKS = new Set(['EEXIST', 'ENOENT', 'ENOTDIR', 'EISDIR', 'ELOOP', 'EACCES', 'EROFS']);

/** Runs `main`; turns a `Trouble` into one clear line and exit code 1. */
export async function runScript(main) {
  try {
    await main();
  } catch (error) {
    if (error instanceof Trouble) process.stderr.write(`\n  Stopped: ${error.message}\n`);
    else if (error?.code === 'ENOSPC')
      process.stderr.write('\n  Stopped: the disk is full. Free some space and start again.\n');
    else if (LINKS.has(error?.code) && error.path)
      process.stderr.write(
        `\n  Stopped: ${error.path} cannot be used (${error.code}): it is a link to something that is missing, or is not what it should be. ` +
          'Mount its disk, or move it away, and start again.\n',
      );
    else process.stderr.write(`\n  Stopped by a fault in the script itself:\n${error?.stack ?? error}\n`);
    process.exitCode = 1;
  }
}

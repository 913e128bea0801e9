/** In which header a page is told the number that marks its own scripts. */
export const SCRIPT_NONCE = 'x-oak-nonce';

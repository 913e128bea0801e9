/** A page in plain words while the database does not answer. It stands by itself; its link asks for the same page again. */
export const NOT_NOW = `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>Oak Tally: not now</title>
<style>
  body { margin: 0; padding: 15vh 1rem; background: #fbf7ef; color: #2a211b; font: 18px/1.5 sans-serif; text-align: center }
  main { max-width: 28em; margin: auto }
  h1 { font-size: 1.5em; margin: 0 }
  a { display: inline-block; padding: 0.7em 1.5em; border-radius: 0.6em; background: #2a5b8c; color: #fff;
    font-weight: 600; text-decoration: none }
  a:focus-visible { outline: 3px solid #2a211b; outline-offset: 3px }
</style>
<main>
  <h1>The database does not answer</h1>
  <p>What was recorded is kept. Try again in a moment; if it stays so, tell who runs the server.</p>
  <a href="">Try again</a>
</main>
</html>
`;

export const NOT_NOW_HEADERS = {
  'content-type': 'text/html; charset=utf-8',
  'cache-control': 'no-store',
  'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'",
  'retry-after': '5',
};

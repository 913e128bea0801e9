import { writeFileSync } from 'node:fs';
import { houseJsonSchema } from '../core/house/jsonSchema';
import { grammarPage } from '../core/quickline/grammarText';

writeFileSync(
  new URL('../../docs/house.schema.json', import.meta.url),
  `${JSON.stringify(houseJsonSchema(), null, 2)}\n`,
);
writeFileSync(new URL('../../docs/quick-line.md', import.meta.url), grammarPage());

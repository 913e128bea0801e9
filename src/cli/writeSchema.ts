import { writeFileSync } from 'node:fs';
import { houseJsonSchema } from '../core/house/jsonSchema';

writeFileSync(
  new URL('../../docs/house.schema.json', import.meta.url),
  `${JSON.stringify(houseJsonSchema(), null, 2)}\n`,
);

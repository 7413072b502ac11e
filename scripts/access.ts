/** npm run access: writes docs/access.md from the tables in the code. */
import fs from 'node:fs';
import { accessPage } from '../tests/access-page';

fs.writeFileSync('docs/access.md', accessPage());

import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { alterationDocs, glossaryPage } from './alteration-docs.ts';

const folder = new URL('../docs/alterations/', import.meta.url);
rmSync(folder, { recursive: true, force: true });
mkdirSync(new URL('drawings/', folder), { recursive: true });
for (const file of alterationDocs()) writeFileSync(new URL(file.name, folder), file.text);
const glossary = glossaryPage();
writeFileSync(new URL(`../docs/${glossary.name}`, import.meta.url), glossary.text);

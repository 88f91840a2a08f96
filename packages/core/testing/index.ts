export { randomDocument, type DocumentSize } from './randomDocument.ts';
export { randomOperation } from './randomOperation.ts';
export { pick, below } from './pick.ts';
export { contextOf } from './contextOf.ts';
export { siteFixture } from './siteFixture.ts';
export { outlined, type Outlined } from './outlined.ts';

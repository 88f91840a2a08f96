export { randomDocument, type DocumentSize } from './randomDocument.ts';
export { randomOperation } from './randomOperation.ts';
export { pick, below } from './pick.ts';
export { contextOf } from './contextOf.ts';
export { siteFixture } from './siteFixture.ts';
export { outlined, type Outlined } from './outlined.ts';
export { simulate, type SimulatedServer, type Simulated } from './simulate.ts';
export { simulateInMemory } from './simulateInMemory.ts';
export { judge, type Verdict } from './judge.ts';

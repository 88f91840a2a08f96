import { headerMotionScript } from './headerMotionScript.ts';
import { navigationScript } from './navigationScript.ts';
import type { FrameLook } from './frameLook.ts';
import { searchOpenerScript } from './searchOpenerScript.ts';
import { stepInScript } from './stepInScript.ts';

/** Features that are in the script only where a frame uses them. */
const features: readonly {
  readonly name: string;
  readonly script: string;
  readonly isUsed: (frame: FrameLook) => boolean;
}[] = [
  {
    name: 'stepIn',
    script: stepInScript,
    isUsed: ({ parts }) => parts.some(({ pattern }) => pattern === 'stepIn'),
  },
  {
    name: 'headerMotion',
    script: headerMotionScript,
    isUsed: ({ does }) => does.size > 0,
  },
  {
    name: 'searchOpener',
    script: searchOpenerScript,
    isUsed: ({ parts }) => parts.some(({ isFolded }) => isFolded === true),
  },
];

/** The script that a site gets: what every menu needs, and the features that its frame uses. */
export function siteScript(frame: FrameLook): string {
  return [navigationScript, ...features.flatMap(({ script, isUsed }) => (isUsed(frame) ? script : []))].join(
    '\n',
  );
}

/** All of it by itself, for measuring. */
export const siteScripts = { core: navigationScript, features } as const;

/** The script with all features, for frames that are still being composed. */
export const wholeScript = [navigationScript, ...features.map(({ script }) => script)].join('\n');

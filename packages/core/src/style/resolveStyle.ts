import { anatomy, type Property, type State, type Thing, type ThingName } from './anatomy.ts';
import { starters, type StarterName } from './starters.ts';

/** A value, and where it comes from. */
export interface ResolvedStyle {
  readonly value: string;
  readonly origin: {
    readonly starter: StarterName;
    /** The thing itself, or one that it is like. */
    readonly thing: ThingName;
    readonly state: State;
    readonly device: 'narrow' | null;
  };
}

/**
 * What a property of a thing comes to in a state, and why; null: nothing is said of it, so that it is as with what
 * it stands in. A value for the state wins over one for the normal state, then what is said of the thing itself over
 * what is said of what it is like, then what is said for the device class. O(things that it is like).
 */
export function resolveStyle(
  thing: ThingName,
  property: Property,
  { state = 'normal', device = null, starter = 'moss@1' }: StyleChoices = {},
): ResolvedStyle | null {
  const line = lineOf(thing);
  for (const wanted of state === 'normal' ? [state] : [state, 'normal' as const]) {
    for (const one of line) {
      const looks = starters[starter][one];
      const onDevice = device === 'narrow' && wanted === 'normal' ? looks.on?.narrow?.[property] : undefined;
      const value = onDevice ?? looks[wanted]?.[property];
      if (value !== undefined)
        return {
          value,
          origin: { starter, thing: one, state: wanted, device: onDevice === undefined ? null : 'narrow' },
        };
    }
  }
  return null;
}

/** What is asked about a style. */
export interface StyleChoices {
  readonly state?: State;
  readonly device?: 'narrow' | null;
  readonly starter?: StarterName;
}

/** A thing and what it is like, the nearest first. */
export function lineOf(thing: ThingName): ThingName[] {
  const line: ThingName[] = [];
  for (
    let next: string | undefined = thing;
    next !== undefined;
    next = (anatomy[next as ThingName] as Thing).like
  )
    line.push(next as ThingName);
  return line;
}

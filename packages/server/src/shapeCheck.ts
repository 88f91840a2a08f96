import { Ajv, type ValidateFunction } from 'ajv';
import { addressFormats, refusal, type Refusal } from '@zorvik/core';
import { referring, sharedShapes } from '@zorvik/contract';
import { othersTurn } from './othersTurn.ts';

/**
 * Whether addresses are held to their rules just now. Validators are synchronous, so that both kinds of check
 * can share what is compiled.
 */
let areAddressesHeld = false;
const formats = Object.fromEntries(
  Object.entries(addressFormats).map(([name, fits]) => [
    name,
    (address: string): boolean => !areAddressesHeld || fits(address),
  ]),
);
let compiler: Ajv | null = null;

/**
 * The one compiler, with all named shapes; made when the first check is compiled, since that takes a while.
 */
function ajv(): Ajv {
  if (compiler !== null) return compiler;
  compiler = new Ajv({
    discriminator: true,
    strict: false,
    allErrors: false,
    code: { optimize: false },
    formats,
  });
  for (const [name, schema] of Object.entries(sharedShapes())) compiler.addSchema(schema, name);
  return compiler;
}

/** A check that is compiled when it is first asked for: compiling all at once would hold up the start. */
export interface Check {
  readonly compile: () => ValidateFunction;
  readonly holdsAddresses: boolean;
}
const waiting: Check[] = [];

/** For what comes in. */
export function checkOf(schema: object): Check {
  return compiledLater(schema, true);
}

/**
 * For what is stored already, and what goes out: documents from before the rules for addresses can still be
 * read.
 */
export function checkStoredOf(schema: object): Check {
  return compiledLater(schema, false);
}

function compiledLater(schema: object, holdsAddresses: boolean): Check {
  let compiled: ValidateFunction | null = null;
  const check = { compile: () => (compiled ??= ajv().compile(referring(schema) as object)), holdsAddresses };
  waiting.push(check);
  return check;
}

/**
 * Compiles what nobody has asked for yet, one at a time between other work, so that no request has to wait
 * for it.
 */
export async function compileChecks(): Promise<void> {
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    await othersTurn();
    next.compile();
  }
}

/** What a value has against its schema, as a refusal that names the place. */
export function problemIn(check: Check | null, value: unknown, what: string): Refusal | null {
  if (check === null) return null;
  const fits = check.compile();
  areAddressesHeld = check.holdsAddresses;
  if (fits(value)) return null;
  const [first] = fits.errors ?? [];
  const place = first === undefined || first.instancePath === '' ? what : `${what} at ${first.instancePath}`;
  const extra = (first?.params as { additionalProperty?: string } | undefined)?.additionalProperty;
  return refusal('badShape', {
    place,
    problem: `${first?.message ?? 'does not fit'}${extra === undefined ? '' : ` (${extra})`}`,
  });
}

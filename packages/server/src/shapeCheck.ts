import { Ajv, type Options, type ValidateFunction } from 'ajv';
import { addressFormats, OperationShape, refusal, type Refusal } from '@zorvik/core';
import { ResolvedItemShape, ResolvedPartShape } from '@zorvik/contract';

const options: Options = { discriminator: true, strict: false, allErrors: false, code: { optimize: false } };
const known = [ResolvedItemShape, ResolvedPartShape, OperationShape];
/** For what comes in: addresses are held to their rules. */
const incoming = new Ajv({ ...options, formats: addressFormats }).addSchema(known);
/** For what is stored or goes out: documents from before the rules for addresses can still be read. */
const outgoing = new Ajv({ ...options, validateFormats: false }).addSchema(known);

/** A check that is compiled when it is first asked for: compiling all at once would hold up the start. */
export type Check = () => ValidateFunction;
const waiting: Check[] = [];

export function checkOf(schema: object): Check {
  return compiledLater(incoming, schema);
}

/** The same for what is stored already, and for what goes out. */
export function checkStoredOf(schema: object): Check {
  return compiledLater(outgoing, schema);
}

function compiledLater(ajv: Ajv, schema: object): Check {
  let compiled: ValidateFunction | null = null;
  const check = (): ValidateFunction => (compiled ??= ajv.compile(schema));
  waiting.push(check);
  return check;
}

/** Compiles what nobody has asked for yet, one at a time between other work, so that no request has to wait for it. */
export async function compileChecks(): Promise<void> {
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    await new Promise(setImmediate);
    next();
  }
}

/** What a value has against its schema, as a refusal that names the place. */
export function problemIn(check: Check | null, value: unknown, what: string): Refusal | null {
  if (check === null) return null;
  const fits = check();
  if (fits(value)) return null;
  const [first] = fits.errors ?? [];
  const place = first === undefined || first.instancePath === '' ? what : `${what} at ${first.instancePath}`;
  const extra = (first?.params as { additionalProperty?: string } | undefined)?.additionalProperty;
  return refusal('badShape', { place, problem: `${first?.message ?? 'does not fit'}${extra === undefined ? '' : ` (${extra})`}` });
}

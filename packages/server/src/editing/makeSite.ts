import {
  checkKey,
  checkLabel,
  directionOf,
  isReservedKey,
  keyFrom,
  languageProblem,
  mintId,
  no,
  ok,
  refusal,
  type RandomBits,
  type Result,
  type Site,
} from '@zorvik/core';
import type { NewSite } from '@zorvik/contract';
import { insertSite, isKeyTaken } from '../repositories/sites.ts';
import type { EditingDeps } from './editingDeps.ts';

/**
 * The facts of a new site. A key that was asked for must be free; one made of the name gets a number when it
 * is not.
 */
export async function newSiteFacts(
  deps: Pick<EditingDeps, 'database'>,
  wanted: NewSite,
  origin: string,
  random: RandomBits,
): Promise<Result<Site>> {
  const name = checkLabel(wanted.name);
  if (!name.ok) return name;
  if (wanted.key !== undefined && isReservedKey(wanted.key))
    return no(refusal('reservedKey', { key: wanted.key }));
  const key =
    wanted.key === undefined ? ok(await freeKey(deps, keyFrom(name.value, 'site'))) : checkKey(wanted.key);
  if (!key.ok) return key;
  if (wanted.key !== undefined && (await isKeyTaken(deps.database, wanted.key)))
    return no(refusal('keyTaken', { key: wanted.key, name: 'another site' }));
  const language = wanted.language ?? 'en';
  const wrong = languageProblem(language);
  if (wrong !== null) return no(wrong);
  return ok({
    id: mintId('site', random),
    key: key.value,
    name: name.value,
    language,
    direction: wanted.direction ?? directionOf(language),
    timeZone: wanted.timeZone ?? 'Etc/UTC',
    origin,
    breakpoints: { medium: 768, wide: 1024 },
  });
}

export async function makeSite({ database }: Pick<EditingDeps, 'database'>, site: Site): Promise<void> {
  await insertSite(database, site);
}

async function freeKey({ database }: Pick<EditingDeps, 'database'>, plain: string): Promise<string> {
  let key = plain;
  for (let number = 2; isReservedKey(key) || (await isKeyTaken(database, key)); number += 1)
    key = `${plain}-${number}`;
  return key;
}

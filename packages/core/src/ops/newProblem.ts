import type { Refusal } from '../base/refusal.ts';
import type { SiteDocument } from '../model/document.ts';
import { addressProblem } from './addressProblem.ts';
import { partValueProblem } from './partValues.ts';
import type { Operation } from './registry.ts';

/** What is wrong with an operation that somebody makes now; null: nothing. Past ones are not asked: they replay. */
export function newProblem(document: SiteDocument, operation: Operation): Refusal | null {
  return addressProblem(operation) ?? partValueProblem(document, operation);
}

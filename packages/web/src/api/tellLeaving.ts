import { routes, type Person } from '@zorvik/contract';
import { addressOf } from './client.ts';

/**
 * Says that a window is closing. The request outlives the page that sends it; nobody waits for its answer.
 */
export function tellLeaving(siteKey: string, person: Person & { readonly isLeaving: true }): void {
  const init: RequestInit = {
    method: 'POST',
    keepalive: true,
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(person),
  };
  fetch(addressOf(routes.tellPresence, { siteKey }, undefined), init).catch(() => undefined);
}

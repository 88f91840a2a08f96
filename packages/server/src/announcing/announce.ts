import type { PublicSide } from '../delivery/publicSide.ts';
import type { Hear } from '../db/notices.ts';
import type { Hub } from './hub.ts';
import type { Presence } from './presence.ts';

/**
 * What this process does when it hears a notice, its own or another's: delivery forgets, windows are told.
 */
export function announce(hub: Hub, presence: Presence, delivery: PublicSide): Hear {
  const tellPeople = (site: string): void =>
    hub.tell({ kind: 'people', site, people: presence.people(site) });
  return (notice) => {
    if (notice === null || notice.kind === 'restored') {
      void delivery.forgetAll();
      return hub.tell({ kind: 'missed' });
    }
    switch (notice.kind) {
      case 'site':
      case 'reading':
        return hub.tell(notice);
      case 'edition':
        void delivery.forget(notice.site);
        return hub.tell(notice);
      case 'deleted':
        void delivery.forget(notice.site);
        return hub.tell({ kind: 'missed' });
      case 'here':
        presence.here(notice.site, notice.person);
        return tellPeople(notice.site);
      case 'left':
        presence.left(notice.site, notice.session);
        return tellPeople(notice.site);
    }
  };
}

import type { PublicSide } from '../delivery/publicSide.ts';
import type { Hear } from '../db/notices.ts';
import type { Hub } from './hub.ts';
import { presence as presenceOf, type Presence } from './presence.ts';

/** What changes within so many ms is told together. */
const TOGETHER = 150;

/** Who is where, told to the windows: changes only. */
export function presenceOn(hub: Hub, now: () => Date): Presence {
  const people = presenceOf(now, () => {
    const telling = setTimeout(() => {
      for (const news of people.news()) hub.tell({ kind: 'people', ...news });
    }, TOGETHER);
    telling.unref();
  });
  return people;
}

/**
 * What this process does when it hears a notice, its own or another's: delivery reads anew, windows are told.
 */
export function announce(hub: Hub, presence: Presence, delivery: PublicSide): Hear {
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
        void delivery.renew(notice.site, notice.number);
        return hub.tell(notice);
      case 'deleted':
        void delivery.forget(notice.site);
        return hub.tell({ kind: 'missed' });
      case 'here':
        return presence.here(notice.site, notice.person);
      case 'left':
        return presence.left(notice.site, notice.session);
    }
  };
}

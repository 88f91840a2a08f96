/** One way to write days and times for all of the interface: as the person’s browser writes them, without seconds. */
const moment = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' });
const clock = new Intl.DateTimeFormat(undefined, { timeStyle: 'short' });
const day = new Intl.DateTimeFormat(undefined, { dateStyle: 'full' });

/** A day and a time. */
export function momentOf(at: string | Date): string {
  return moment.format(new Date(at));
}

/** A time of the day. */
export function clockOf(at: Date): string {
  return clock.format(at);
}

/** A day by its weekday; the present one is “Today”. */
export function dayOf(at: Date): string {
  return at.toDateString() === new Date().toDateString() ? 'Today' : day.format(at);
}

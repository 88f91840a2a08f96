import { useNotices } from '../stores/notices.ts';

/** Puts text on the clipboard and says so, or says how to copy it where the browser does not allow that. */
export function useCopying(): (text: string, done: string) => Promise<void> {
  const notices = useNotices();
  return async (text, done) => {
    // Without a secure connection there is no clipboard at all.
    const isDone = await Promise.resolve()
      .then(() => navigator.clipboard.writeText(text))
      .then(
        () => true,
        () => false,
      );
    if (isDone) notices.say(done);
    else notices.refuse('The browser does not allow copying. Select the text and copy it by hand.');
  };
}

import { onBeforeUnmount, ref, watch, type Ref } from 'vue';
import { useNotices } from '../stores/notices.ts';

/** How long somebody pauses before what they typed is kept, in ms. */
export const TYPING_PAUSE = 900;

export interface ToType {
  /** What the field shows when nobody types. */
  readonly value: () => string;
  /**
   * Keeps what was typed, or says why not. While somebody still types (`isFinal` is false), what cannot be
   * kept yet is no mistake yet: null then, too.
   */
  readonly keep: (typed: string, isFinal: boolean) => string | null;
}

export interface Typing {
  readonly typed: Ref<string>;
  readonly problem: Ref<string | null>;
  /** What somebody else made of it while it was typed in; null: nothing. */
  readonly meanwhile: Ref<string | null>;
  readonly begin: () => void;
  readonly input: () => void;
  readonly composing: (isComposing: boolean) => void;
  /** The field is left, or Enter is pressed: true when all is kept. */
  readonly end: () => boolean;
  /**
   * Back to what was there when it began; what was kept in pauses is taken out again. True when there was
   * anything to give back.
   */
  readonly giveBack: () => boolean;
}

/**
 * When typing becomes an edit, for every field: after a pause, when the field is left, on Enter, and when the
 * window is hidden or closed; never while an input method still composes. What another person makes of it
 * meanwhile is shown beside, and what is being typed stays.
 */
export function useTyping({ value, keep }: ToType): Typing {
  const notices = useNotices();
  const typed = ref(value());
  const problem = ref<string | null>(null);
  const meanwhile = ref<string | null>(null);
  let original = typed.value;
  /** What was kept last from here: when the value becomes that, it was us. */
  let kept: string | null = null;
  let isTyping = false;
  let isComposing = false;
  let pause: ReturnType<typeof setTimeout> | undefined;

  watch(value, (now) => {
    if (now === kept) {
      kept = null;
      // What was kept on leaving comes to be the value a moment after.
      if (!isTyping) typed.value = now;
    } else if (isTyping && typed.value !== now) meanwhile.value = now;
    else typed.value = now;
    if (!isTyping) problem.value = null;
  });

  function begin(): void {
    if (isTyping) return;
    isTyping = true;
    original = value();
    typed.value = original;
    problem.value = null;
    meanwhile.value = null;
  }

  function input(): void {
    begin();
    clearTimeout(pause);
    pause = setTimeout(() => void (isComposing || keepNow(false)), TYPING_PAUSE);
  }

  function keepNow(isFinal: boolean): boolean {
    clearTimeout(pause);
    if (typed.value === value()) {
      problem.value = null;
      return true;
    }
    const text = typed.value;
    const refused = keep(text, isFinal);
    kept = refused === null && value() === text ? null : refused === null ? text : kept;
    if (isFinal) problem.value = refused;
    return refused === null;
  }

  function end(): boolean {
    if (!isTyping) return true;
    const isKept = keepNow(true);
    if (isKept) {
      isTyping = false;
      meanwhile.value = null;
      typed.value = value();
    }
    return isKept;
  }

  function giveBack(): boolean {
    const hadAny = isTyping && (typed.value !== value() || value() !== original || problem.value !== null);
    clearTimeout(pause);
    if (isTyping && meanwhile.value === null && value() !== original) keep(original, true);
    typed.value = value();
    problem.value = null;
    meanwhile.value = null;
    isTyping = false;
    return hadAny;
  }

  const going = (): void => void (isTyping && !isComposing && keepNow(false));
  const hidden = (): void => void (document.visibilityState === 'hidden' && going());
  document.addEventListener('visibilitychange', hidden);
  window.addEventListener('pagehide', going);
  onBeforeUnmount(() => {
    clearTimeout(pause);
    document.removeEventListener('visibilitychange', hidden);
    window.removeEventListener('pagehide', going);
    const refused = isTyping && typed.value !== value() ? keep(typed.value, true) : null;
    if (refused !== null) notices.refuse(`${refused} What you typed was: “${typed.value}”.`);
  });

  return {
    typed,
    problem,
    meanwhile,
    begin,
    input,
    composing: (now) => {
      isComposing = now;
      if (!now) input();
    },
    end,
    giveBack,
  };
}

/** Hides something from sight alone: assistive technology still has it. */
export const UNSEEN =
  'position:absolute;inline-size:1px;block-size:1px;min-inline-size:0;min-block-size:0;padding:0;margin:-1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap';

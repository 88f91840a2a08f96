const AT_WORK =
  '[role=tree],[role=treegrid],[role=grid] [role=gridcell][tabindex="0"],.list[role=group],[role=slider].here';

/** What the keys work on: a tree, a grid or a list of the workspace; null where it has none. */
export function workElement(): HTMLElement | null {
  return document.querySelector<HTMLElement>(`#workspace :is(${AT_WORK})`);
}

import { computed, type ComputedRef, type Ref } from 'vue';
import { ownSelectors, scopeOf, type CssRule, type CssStyleRule } from '@zorvik/core';
import { useFrame } from '../stores/frame.ts';
import { composedHtml, pageOf } from '../stores/pageChoices.ts';

/** What a selector of somebody's own finds on the page that is looked at. */
export interface CssMatch {
  readonly selector: string;
  readonly count: number;
}

/** States that a pointer or a key brings about, and pseudo-elements: for counting, nothing has to be in them. */
const PASSING = /:(?:hover|focus-visible|focus-within|focus|active)(?![\w-])|::[\w-]+/g;

/** What the selectors of rules find within a place, in their order. */
export function useCssMatches(
  owner: Ref<string | null>,
  rules: Ref<readonly CssRule[]>,
): ComputedRef<readonly CssMatch[]> {
  const frame = useFrame();
  const page = computed(() =>
    frame.styled === null ? null : pageOf(composedHtml(frame.styled, frame.situation)),
  );
  return computed(() => {
    const document = frame.styled;
    if (document === null || page.value === null || owner.value === null) return [];
    const within = scopeOf(document, owner.value)?.within ?? [];
    const drawn = page.value;
    const styled = rules.value.flatMap((rule): readonly CssStyleRule[] =>
      'keyframes' in rule ? [] : 'at' in rule ? rule.rules : [rule],
    );
    return styled.flatMap(({ selectors }) =>
      selectors.map((selector) => {
        const found = ownSelectors({ selectors: [selector], declarations: [] }, { within }).map((one) =>
          one.replaceAll(PASSING, ''),
        );
        return { selector, count: countIn(drawn, found) };
      }),
    );
  });
}

/** How many elements any of these selectors finds; none where it is one that this browser does not know. */
function countIn(page: Document, selectors: readonly string[]): number {
  try {
    return page.querySelectorAll(selectors.join()).length;
  } catch {
    return 0;
  }
}

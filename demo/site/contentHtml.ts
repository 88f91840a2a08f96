import type { QuillmerePage } from '../quillmere/pages.ts';

interface Content {
  readonly path: string;
  /** Null: there is no such page. */
  readonly page: QuillmerePage | null;
  readonly children: readonly QuillmerePage[];
}

/** What stands in the middle of a page: each template of the site has markup of its own. */
export function contentHtml({ path, page, children }: Content): string {
  const title = `<h1>${asText(page?.title ?? 'There is no such page')}</h1>`;
  const text = page?.text ?? `There is no page at ${path}. Use the menus above and below to find your way.`;
  const lead = `<p>${asText(text)}</p>`;
  const links = children.map((one) => `<a href="${one.path}">${asText(one.title)}</a>`);
  const list =
    links.length === 0
      ? ''
      : `<h2>Here you find</h2><ul class="children">${links.map((link) => `<li>${link}</li>`).join('')}</ul>`;
  const cards = `<ul class="cards">${children.map((one) => `<li><article class="card"><h2><a href="${one.path}">${asText(one.title)}</a></h2><p>${asText(sentence(one.text))}</p></article></li>`).join('')}</ul>`;
  switch (page?.template ?? '') {
    case 'home':
      return `<section class="welcome">${title}${lead}</section>${cards}`;
    case 'shop':
    case 'category':
      return `<header class="section-head">${title}${lead}</header>${links.length === 0 ? '' : cards}`;
    case 'product':
      return `<article class="product"><figure class="product-picture"></figure><div class="product-facts">${title}<p class="price">£${/\d+\.\d\d/.exec(text)?.[0] ?? ''}</p>${lead}<form class="order" action="${path}"><label for="number">Number</label> <input id="number" name="number" type="number" min="1" value="1"> <button>Add to the basket</button></form></div></article>`;
    case 'plant':
      return `<article class="plant"><header>${title}</header><table class="habits"><tbody><tr><th scope="row">Where</th><td>Plant finder</td></tr><tr><th scope="row">Page</th><td>${asText(path)}</td></tr></tbody></table>${lead}${list}</article>`;
    case 'article':
      return `<article class="story"><header><p class="kicker">News</p>${title}</header><div class="story-text">${lead}</div></article>`;
    case 'event':
      return `<article class="event"><header>${title}</header><dl class="when"><dt>Where</dt><dd>Quillmere, Mill Lane</dd></dl>${lead}</article>`;
    default:
      return `${title}${lead}${list}`;
  }
}

function sentence(text: string): string {
  return /^.*?[.!?](?=\s|$)/.exec(text)?.[0] ?? text;
}

export function asText(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;');
}

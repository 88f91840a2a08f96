/** Made by scripts/site-scripts.mjs from browser/searchOpener.ts; do not edit. */
export const searchOpenerScript =
  '(()=>{(()=>{document.addEventListener("toggle",({target:e})=>{e instanceof Element&&e.matches(".zv-fold[open]")&&e.querySelector("[type=search]")?.focus()},!0);let t=({target:e,key:n})=>{for(let o of document.querySelectorAll(".zv-fold[open]")){let d=e instanceof Node&&o.contains(e);(n===void 0?d:n!=="Escape")||(o.open=!1,n!==void 0&&d&&o.querySelector("summary")?.focus())}};document.addEventListener("pointerdown",t),document.addEventListener("keydown",t)})();})();';

/** Made by scripts/site-scripts.mjs from browser/stepIn.ts; do not edit. */
export const stepInScript =
  '(()=>{document.addEventListener("click",({target:n})=>{let e=n instanceof Element?n.closest(".zv-step-in button"):null;if(e===null)return;if(e.getAttribute("aria-expanded")==="true")return e.parentElement?.querySelector(".zv-back>button")?.focus();let t=e.closest(".zv-back")?.parentElement?.closest("li")?.querySelector(":scope>button");t&&(t.setAttribute("aria-expanded","false"),t.focus())});})();';

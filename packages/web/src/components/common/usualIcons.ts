/** Icons that menus use, shown before anything is typed. */
export const usualIcons: readonly string[] = `
home-outline magnify account-outline account-group-outline cart-outline shopping-outline tag-outline gift-outline heart-outline star-outline
phone-outline email-outline map-marker-outline map-outline calendar-outline clock-outline ticket-outline information-outline help-circle-outline
newspaper-variant-outline book-open-variant school-outline briefcase-outline leaf flower-outline tree-outline sprout-outline truck-outline
credit-card-outline download file-document-outline image-outline play-circle-outline cog-outline lock-outline login translate web human-wheelchair
bus car bike silverware-fork-knife coffee-outline arrow-right open-in-new
`
  .trim()
  .split(/\s+/);

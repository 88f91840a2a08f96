import type { Settings } from '@zorvik/core';

/**
 * What is set for some of the main menu's items, by the end of their page's address: enough to see each kind
 * once.
 */
export const itemSettings: Readonly<Record<string, Settings>> = {
  // The three panels: plan a visit, the seed house by season and kind, learning.
  '/visit': { dropdown: { form: 'panel', panel: { columns: 3, extent: 860, gap: 8, medium: 'two' } } },
  '/shop': {
    dropdown: {
      form: 'panel',
      panel: { columns: 4, extent: 'page', innerWidth: 1100, gap: 8, medium: 'stacked' },
    },
  },
  '/learn': { dropdown: { form: 'panel', panel: { columns: 3, extent: 'content', gap: 8, narrow: 'list' } } },
  '/plant-fair': {
    badge: { text: 'May', position: 'after' },
    tooltip: 'Thirty nurseries in one weekend',
  },
  '/tea-room': {
    icon: {
      name: 'coffee',
      path: 'M2,21V19H20V21H2M20,8V5H18V8H20M20,3A2,2 0 0,1 22,5V8A2,2 0 0,1 20,10H18V13A4,4 0 0,1 14,17H8A4,4 0 0,1 4,13V3H20M16,5H6V13A2,2 0 0,0 8,15H14A2,2 0 0,0 16,13V5Z',
      position: 'before',
    },
  },
  '/herbarium': { description: 'Forty thousand pressed plants' },
};

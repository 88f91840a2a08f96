import type { Site } from '../src/schema/site.ts';

export const siteFixture: Site = {
  id: 's000000000000001',
  key: 'meadow',
  name: 'Meadow',
  language: 'en',
  direction: 'ltr',
  timeZone: 'Etc/UTC',
  origin: 'https://meadow.example',
  breakpoints: { medium: 768, wide: 1024 },
};

import type { Place } from '@zorvik/core';

/**
 * The five menus of Quillmere. One line an item, set in by two spaces a level: a path leads to that page and
 * takes its title; `Label > /path` has a label of its own; `Label > https://…` leads outside (with a `+`: in
 * a new tab); a label alone is a heading.
 */
export const menuOutlines: readonly {
  readonly key: string;
  readonly name: string;
  readonly place: Place;
  readonly outline: string;
}[] = [
  {
    key: 'main',
    name: 'Main menu',
    place: 'bar',
    outline: `
/visit
  /visit/opening-times
  /visit/tickets
  /visit/getting-here
    /visit/getting-here/by-bus
    /visit/getting-here/by-bike
    /visit/getting-here/parking
  /visit/tea-room
  /visit/access
  /visit/groups
  Bus timetable + > https://buses.example/quillmere/14
/garden
  /garden/walled-garden
  /garden/glasshouses
    /garden/glasshouses/temperate-house
    /garden/glasshouses/alpine-house
    /garden/glasshouses/fern-pit
  /garden/wet-meadow
  /garden/orchard
  /garden/winter-walk
  /garden/plant-of-the-month
/shop
  Seeds by season
    /shop/seeds/sow-in-spring
    Sow in autumn > /shop/seeds/sow-in-autumn
    /shop/seeds/hardy-annuals
    /shop/seeds/green-manures
  /shop/bulbs
    /shop/bulbs/early-flowering
    /shop/bulbs/for-pots
    /shop/bulbs/alliums
  Tools and pots
    /shop/tools/dibbers
    /shop/pots/clay-pots
    /shop/pots/cold-frames
    /shop/pots/labels
  /shop/books
  /shop/gifts
/plants
  By habit
    /plants/trees
    /plants/shrubs
    /plants/perennials
    /plants/bulbs
    /plants/ferns
  /plants/by-season
  /plants/by-soil
  /plants/by-light
/learn
  /learn/courses
    /learn/courses/grafting
    /learn/courses/seed-saving
    /learn/courses/botanical-drawing
  /learn/guides
  /research/herbarium
  /learn/library
/whats-on
  /whats-on/calendar
  /whats-on/seed-swap
  /whats-on/plant-fair
  /whats-on/apple-weekend`,
  },
  {
    key: 'second',
    name: 'Second bar',
    place: 'secondBar',
    outline: `
/visit/opening-times
Members > /membership
/contact`,
  },
  {
    key: 'plants',
    name: 'Plant finder, at the side',
    place: 'side',
    outline: `
/plants/trees
/plants/shrubs
/plants/climbers
/plants/perennials
/plants/annuals
/plants/bulbs
/plants/ferns
/plants/grasses
/plants/alpines
/plants/herbs
/plants/by-season
  /plants/by-season/spring
  /plants/by-season/summer
  /plants/by-season/autumn
  /plants/by-season/winter`,
  },
  {
    key: 'footer',
    name: 'Footer',
    place: 'footer',
    outline: `
Visit us
  /visit/opening-times
  /visit/tickets
  /visit/getting-here
  /visit/hire
Seed house
  /delivery
  /terms
  /shop/gifts/vouchers
Quillmere
  /about/history
  /about/people
  /about/jobs
  /research
  /press
Small print
  /privacy
  /accessibility
  /contact`,
  },
  {
    key: 'phone',
    name: 'Drawer on phones',
    place: 'drawer',
    outline: `
/visit
/garden
/shop
/plants
/learn
/whats-on
/membership
/contact`,
  },
];

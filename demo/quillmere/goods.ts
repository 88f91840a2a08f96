/**
 * The seed house: categories set in by two spaces a level, `slug | title | a paragraph`, and below each its
 * goods as `- title | price`.
 */
export const goods = `
seeds | Seeds | Two hundred kinds, all tested within the year, most of them grown here.
  sow-in-spring | Sow in spring | From the last week of March, when the soil no longer sticks to the boot.
    - Broad bean Crimson Mill | 3.20
    - Pea Tall Quill | 2.90
    - Carrot Long Amber | 2.40
    - Beetroot Dark Globe | 2.40
    - Radish Early Scarlet | 1.90
    - Lettuce Speckled Hen | 2.10
    - Spinach Winter Giant | 2.30
    - Leek Blue Autumn | 2.60
    - Kale Ragged Black | 2.40
    - Tomato Yellow Plum | 3.40
  sow-in-autumn | Autumn sowing | In September and October, for an early and a sturdy spring.
    - Corn salad Little Spoon | 2.10
    - Winter purslane | 2.10
    - Onion Over-winter Straw | 2.40
    - Broad bean Deep Frost | 3.20
    - Pea First of May | 2.90
    - Larkspur Mixed Sky | 2.60
    - Cornflower Blue Lad | 2.20
    - Poppy Grey Dove | 2.40
  hardy-annuals | Hardy annuals | Sow where they are to flower, thin once, and pick often.
    - Love-in-a-mist Pale Moon | 2.20
    - Pot marigold Copper | 2.20
    - Cosmos White Sails | 2.60
    - Honeywort Blue Shrimp | 2.80
    - Annual scabious Dark Pin | 2.60
    - Bishop’s flower Snow | 2.40
    - Borage White Star | 2.20
    - Sunflower Low Lamp | 2.60
  scented-stocks | Scented stocks | For under a window that is open in the evening.
    - Night-scented stock | 2.20
    - Ten-week stock Old Rose | 2.60
    - Sweet rocket White | 2.40
    - Tobacco flower Lime | 2.60
  green-manures | Green manures | To cover bare soil, feed it, and keep the rain from washing it away.
    - Phacelia 100 g | 4.20
    - Crimson clover 100 g | 4.60
    - Field beans 500 g | 5.20
    - Rye and vetch 500 g | 5.80
    - Mustard 200 g | 3.40
  winter-salads | Winter salads | Leaves for the cold months, under a cloche or a pane.
    - Mizuna | 2.10
    - Land cress | 2.10
    - Claytonia | 2.10
    - Chicory Red Frost | 2.60
    - Endive Curled Straw | 2.40
  herbs | Herb seed | The easy ones, and lovage.
    - Basil Broad Leaf | 2.20
    - Dill Tall | 2.10
    - Coriander Slow Bolt | 2.10
    - Parsley Plain | 2.10
    - Chervil | 2.20
    - Lovage | 2.60
bulbs | Bulbs and tubers | Lifted in June, sent from the end of August.
  early-flowering | Early flowering | For January to March.
    - Snowdrop, 20 in the green | 9.50
    - Winter aconite, 20 | 7.80
    - Spring crocus, 50 | 8.90
    - Early iris Cold Water, 15 | 6.90
  for-pots | Bulbs for pots | Low ones that do not fall over, and scented ones for near the door.
    - Grape hyacinth, 25 | 5.60
    - Little daffodil Thimble, 15 | 6.40
    - Species tulip Ember, 10 | 6.80
    - Wood squill, 25 | 5.40
  alliums | Alliums | From the size of a thumb to that of a head.
    - Star of Persia, 5 | 7.50
    - Drumstick allium, 25 | 5.90
    - Allium Purple Lantern, 3 | 8.90
    - White allium Cloud, 5 | 8.40
  dahlias | Dahlia tubers | Sent in April, when the frost is nearly over.
    - Dahlia Brick Lane | 6.20
    - Dahlia Dark Tea | 6.20
    - Dahlia Honey Plate | 6.40
  potatoes | Seed potatoes | By the net or by the tuber.
    - First early Mill Stream, 10 | 4.80
    - Second early Quill Kidney, 10 | 4.80
    - Main crop Old Brick, 10 | 4.60
tools | Tools | Forged, ash-handled, and mended for ever.
  dibbers | Dibbers and trowels | For holes of one kind and another.
    - Dibber with a steel tip | 18.00
    - Narrow trowel | 24.00
    - Broad trowel | 26.00
    - Hand fork | 25.00
  cutting | Knives and secateurs | Keep them dry, keep them sharp.
    - Grafting knife | 32.00
    - Secateurs, small hand | 46.00
    - Secateurs, large hand | 48.00
    - Billhook | 54.00
  digging | Spades and forks | Full length, or short for a tall person who kneels.
    - Digging spade | 68.00
    - Border spade | 62.00
    - Digging fork | 68.00
  watering | Watering | Cans, roses and butts.
    - Long-reach can, 7 litres | 58.00
    - Indoor can, 1 litre | 26.00
    - Rain gauge | 19.00
    - Water butt, 200 litres | 89.00
pots | Pots and frames | Clay from the brick works next door, wood from our coppice.
  clay-pots | Clay pots | Thrown by hand, fired hot enough for frost.
    - Long tom, 10 cm | 6.50
    - Long tom, 15 cm | 9.50
    - Pan for alpines, 25 cm | 18.00
    - Rhubarb forcer | 95.00
  cold-frames | Cold frames | Larch and glass, made in our own workshop, for seedlings that wait for May.
    - Cold frame, one light | 140.00
    - Cold frame, two lights | 230.00
    - Cloche, glass | 38.00
  labels | Labels and twine | So that you know in June what you did in April.
    - Slate labels, 10 | 12.00
    - Hazel labels, 25 | 7.50
    - Jute twine, 200 m | 6.80
    - Tarred string, 100 m | 5.40
books | Books | Ours, and those that we lend most.
  - The Quillmere calendar | 14.00
  - Seed saving on a kitchen table | 12.50
  - Ninety apples | 22.00
  - A pocket book of ferns | 9.80
  - Pruning, drawn | 16.00
  - The dry border | 19.50
gifts | Gifts | For gardeners, and for those they live with.
  gift-boxes | Gift boxes | Packed by hand in wood wool.
    - Box of five autumn seeds | 14.00
    - Box for a window sill | 18.00
    - Box for a child’s first bed | 22.00
    - Box for bees | 16.00
  prints | Prints | From the herbarium, on cotton paper.
    - Print: fritillary, 1804 | 24.00
    - Print: medlar, 1822 | 24.00
    - Print: royal fern, 1791 | 28.00
  vouchers | Vouchers | For the seed house, the tea room and the courses alike.
  seed-paper | Seed paper | Write on it, then plant it.
`;

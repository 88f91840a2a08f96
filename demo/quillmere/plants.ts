/**
 * The plant encyclopaedia. One line a plant: name | botanical name | habit | season of interest | soil |
 * light | height in cm. Habits and seasons name the sections that the plants stand in.
 */
const lines = `
English oak|Quercus robur|trees|autumn|clay|sun|2500
Silver birch|Betula pendula|trees|winter|sand|sun|1800
Wild cherry|Prunus avium|trees|spring|loam|sun|1500
Field maple|Acer campestre|trees|autumn|chalk|sun|1200
Rowan|Sorbus aucuparia|trees|autumn|sand|sun|1000
Crab apple|Malus sylvestris|trees|spring|loam|sun|800
Black mulberry|Morus nigra|trees|summer|loam|sun|900
Medlar|Mespilus germanica|trees|autumn|loam|sun|500
Common lime|Tilia × europaea|trees|summer|loam|sun|3000
Hornbeam|Carpinus betulus|trees|autumn|clay|part shade|2000
Quince|Cydonia oblonga|trees|autumn|loam|sun|400
Strawberry tree|Arbutus unedo|trees|winter|sand|sun|600
Elder|Sambucus nigra|shrubs|summer|loam|part shade|400
Guelder rose|Viburnum opulus|shrubs|autumn|clay|part shade|350
Spindle|Euonymus europaeus|shrubs|autumn|chalk|sun|300
Hazel|Corylus avellana|shrubs|winter|loam|part shade|450
Dog rose|Rosa canina|shrubs|summer|clay|sun|300
Witch hazel|Hamamelis mollis|shrubs|winter|loam|part shade|350
Winter daphne|Daphne odora|shrubs|winter|loam|part shade|140
Mock orange|Philadelphus coronarius|shrubs|summer|chalk|sun|250
Lilac|Syringa vulgaris|shrubs|spring|chalk|sun|400
Flowering currant|Ribes sanguineum|shrubs|spring|loam|sun|220
Box|Buxus sempervirens|shrubs|winter|chalk|part shade|200
Rosemary|Salvia rosmarinus|shrubs|spring|sand|sun|130
Lavender|Lavandula angustifolia|shrubs|summer|sand|sun|70
Smoke bush|Cotinus coggygria|shrubs|autumn|sand|sun|380
Beautyberry|Callicarpa bodinieri|shrubs|autumn|loam|sun|260
Common honeysuckle|Lonicera periclymenum|climbers|summer|loam|part shade|600
Old man’s beard|Clematis vitalba|climbers|autumn|chalk|sun|1000
Ivy|Hedera helix|climbers|winter|loam|shade|1000
Wisteria|Wisteria sinensis|climbers|spring|loam|sun|900
Hop|Humulus lupulus|climbers|summer|loam|sun|600
Sweet pea|Lathyrus odoratus|climbers|summer|loam|sun|200
Climbing hydrangea|Hydrangea petiolaris|climbers|summer|loam|shade|1200
Winter jasmine|Jasminum nudiflorum|climbers|winter|loam|part shade|300
Passion flower|Passiflora caerulea|climbers|summer|sand|sun|800
Virginia creeper|Parthenocissus quinquefolia|climbers|autumn|loam|part shade|1500
Oriental poppy|Papaver orientale|perennials|summer|loam|sun|90
Delphinium|Delphinium elatum|perennials|summer|loam|sun|180
Lady’s mantle|Alchemilla mollis|perennials|summer|clay|part shade|50
Bear’s breeches|Acanthus mollis|perennials|summer|loam|part shade|140
Japanese anemone|Anemone × hybrida|perennials|autumn|clay|part shade|120
Lenten rose|Helleborus orientalis|perennials|winter|clay|shade|45
Lungwort|Pulmonaria officinalis|perennials|spring|clay|shade|30
Bleeding heart|Lamprocapnos spectabilis|perennials|spring|loam|part shade|75
Peony|Paeonia lactiflora|perennials|summer|clay|sun|90
Sea holly|Eryngium maritimum|perennials|summer|sand|sun|60
Globe thistle|Echinops ritro|perennials|summer|sand|sun|110
Michaelmas daisy|Symphyotrichum novi-belgii|perennials|autumn|loam|sun|110
Purple coneflower|Echinacea purpurea|perennials|summer|loam|sun|100
Bee balm|Monarda didyma|perennials|summer|clay|sun|100
Coral bells|Heuchera sanguinea|perennials|summer|loam|part shade|45
Plantain lily|Hosta sieboldiana|perennials|summer|clay|shade|70
Solomon’s seal|Polygonatum × hybridum|perennials|spring|loam|shade|100
Great burnet|Sanguisorba officinalis|perennials|summer|clay|sun|120
Stonecrop|Hylotelephium spectabile|perennials|autumn|sand|sun|50
Cornflower|Centaurea cyanus|annuals|summer|sand|sun|80
Love-in-a-mist|Nigella damascena|annuals|summer|sand|sun|45
Pot marigold|Calendula officinalis|annuals|summer|loam|sun|50
Nasturtium|Tropaeolum majus|annuals|summer|sand|sun|40
Field poppy|Papaver rhoeas|annuals|summer|chalk|sun|60
Sunflower|Helianthus annuus|annuals|summer|loam|sun|220
Cosmos|Cosmos bipinnatus|annuals|autumn|loam|sun|120
Borage|Borago officinalis|annuals|summer|sand|sun|70
Night-scented stock|Matthiola longipetala|annuals|summer|loam|sun|35
Honeywort|Cerinthe major|annuals|spring|sand|sun|50
Annual scabious|Scabiosa atropurpurea|annuals|summer|chalk|sun|75
Bishop’s flower|Ammi majus|annuals|summer|loam|sun|110
Snowdrop|Galanthus nivalis|bulbs|winter|loam|part shade|12
Winter aconite|Eranthis hyemalis|bulbs|winter|chalk|part shade|8
Wild daffodil|Narcissus pseudonarcissus|bulbs|spring|loam|part shade|30
Spring crocus|Crocus tommasinianus|bulbs|winter|sand|sun|10
Grape hyacinth|Muscari armeniacum|bulbs|spring|loam|sun|18
Bluebell|Hyacinthoides non-scripta|bulbs|spring|loam|shade|35
Snake’s head fritillary|Fritillaria meleagris|bulbs|spring|clay|part shade|28
Crown imperial|Fritillaria imperialis|bulbs|spring|loam|sun|90
Star of Persia|Allium cristophii|bulbs|summer|sand|sun|50
Drumstick allium|Allium sphaerocephalon|bulbs|summer|sand|sun|75
Martagon lily|Lilium martagon|bulbs|summer|loam|part shade|130
Autumn crocus|Colchicum autumnale|bulbs|autumn|clay|sun|18
Guernsey lily|Nerine bowdenii|bulbs|autumn|sand|sun|45
Ivy-leaved cyclamen|Cyclamen hederifolium|bulbs|autumn|loam|shade|12
Male fern|Dryopteris filix-mas|ferns|summer|loam|shade|110
Hart’s tongue|Asplenium scolopendrium|ferns|winter|chalk|shade|45
Royal fern|Osmunda regalis|ferns|autumn|clay|part shade|160
Maidenhair spleenwort|Asplenium trichomanes|ferns|summer|chalk|shade|15
Soft shield fern|Polystichum setiferum|ferns|winter|loam|shade|80
Common polypody|Polypodium vulgare|ferns|winter|sand|shade|30
Ostrich fern|Matteuccia struthiopteris|ferns|spring|clay|shade|130
Lady fern|Athyrium filix-femina|ferns|summer|clay|shade|100
Quaking grass|Briza media|grasses|summer|chalk|sun|50
Tufted hair grass|Deschampsia cespitosa|grasses|autumn|clay|part shade|120
Purple moor grass|Molinia caerulea|grasses|autumn|clay|sun|90
Feather grass|Stipa tenuissima|grasses|summer|sand|sun|55
Pendulous sedge|Carex pendula|grasses|winter|clay|shade|130
Wood melick|Melica uniflora|grasses|spring|loam|shade|45
Golden oats|Stipa gigantea|grasses|summer|sand|sun|200
Pasque flower|Pulsatilla vulgaris|alpines|spring|chalk|sun|20
Mountain avens|Dryas octopetala|alpines|summer|chalk|sun|10
Spring gentian|Gentiana verna|alpines|spring|chalk|sun|8
Moss campion|Silene acaulis|alpines|summer|sand|sun|5
Houseleek|Sempervivum tectorum|alpines|summer|sand|sun|15
Mossy saxifrage|Saxifraga × arendsii|alpines|spring|loam|part shade|15
Edelweiss|Leontopodium nivale|alpines|summer|chalk|sun|18
Sea thrift|Armeria maritima|alpines|spring|sand|sun|20
Common sage|Salvia officinalis|herbs|summer|sand|sun|60
Wild thyme|Thymus serpyllum|herbs|summer|chalk|sun|8
Chives|Allium schoenoprasum|herbs|spring|loam|sun|30
Lovage|Levisticum officinale|herbs|summer|loam|part shade|180
Sweet cicely|Myrrhis odorata|herbs|spring|loam|shade|100
Fennel|Foeniculum vulgare|herbs|summer|sand|sun|180
Lemon balm|Melissa officinalis|herbs|summer|loam|part shade|70
French tarragon|Artemisia dracunculus|herbs|summer|sand|sun|80
Winter savory|Satureja montana|herbs|winter|chalk|sun|35
Hyssop|Hyssopus officinalis|herbs|summer|chalk|sun|55
`;

export interface Plant {
  readonly name: string;
  readonly botanical: string;
  readonly habit: string;
  readonly season: string;
  readonly soil: string;
  readonly light: string;
  readonly height: number;
}

export const plants: readonly Plant[] = lines
  .trim()
  .split('\n')
  .map((line) => {
    const [name = '', botanical = '', habit = '', season = '', soil = '', light = '', height = ''] =
      line.split('|');
    return { name, botanical, habit, season, soil, light, height: Number(height) };
  });

/** What each habit is, said once: it opens the section's page. */
export const habits: Readonly<Record<string, string>> = {
  trees: 'Woody plants with a trunk, from the oaks on the north lawn to the medlar by the gate.',
  shrubs: 'Woody and many-stemmed: hedges, borders, and the scented walk that is at its best in January.',
  climbers: 'Plants that need a wall, a post or a patient neighbour. Ours go up the old kitchen garden wall.',
  perennials: 'They die back in winter and return. The long border holds four hundred kinds.',
  annuals: 'From seed to seed within one year. We sow the meadow strips afresh each April.',
  bulbs: 'Stores of food under the ground, which is why they can flower before the leaves are on the trees.',
  ferns: 'Older than flowers. The fern pit keeps them cool and damp through the driest summer.',
  grasses: 'Movement, sound and seed heads; left standing until March for the finches.',
  alpines: 'From above the tree line: small, tough, and lost without sharp drainage.',
  herbs: 'For the kitchen, the medicine chest and the bees, in that order of planting.',
};

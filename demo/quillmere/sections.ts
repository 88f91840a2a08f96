/**
 * Everything but plants and goods: one line a page, set in by two spaces a level: `slug | title | a
 * paragraph`. A page that is marked with `@kind` behind its title is of that kind.
 */
export const sections = `
visit | Visit | Quillmere is open every day but Christmas Day. The gates open at ten; the light is best before noon.
  opening-times | Opening times | April to September from 10 to 18, October to March from 10 to 16. Last entry is an hour before we close.
  tickets | Tickets and prices | Adults 9, under sixteens 4, under fives and carers free. A ticket bought at the gate is good for the whole day.
  getting-here | Getting here | The 14 bus stops at the east gate. From the station it is a walk of twenty minutes along the mill stream.
    by-bus | By bus and train | The 14 leaves the station at five past and twenty-five to each hour and takes nine minutes.
    by-bike | By bike | There are forty stands at the east gate, a pump, and a tap for your bottle.
    parking | Parking | Two hundred places behind the seed house, twelve of them wide, four with chargers.
  tea-room | The fern tea room | Soup, bread and cake among the tree ferns. Everything green on the plate was picked that morning.
  access | Access and mobility | Two thirds of the paths are level and firm. Wheelchairs and a scooter can be borrowed at the gate.
  groups | Groups and schools | From ten people, a guide comes with the ticket. Tell us two weeks before you come.
    school-visits | School visits | Mornings from Tuesday to Thursday, with a potting shed of our own for thirty children.
    guided-walks | Guided walks | Ninety minutes with a gardener, in any weather that lets a gardener work.
  dogs | Dogs | Welcome on a lead in the orchard and the wet meadow; not in the glasshouses.
  map | Map of the garden | Numbers on the map are those on the slate signs. North is at the top, the river at the left.
  first-visit | Your first visit | If you have two hours: walled garden, glasshouses, tea room, orchard, in that order.
  hire | Hire a room | The apple loft seats sixty, the potting shed twelve. Evenings from March to October.
garden | The garden | Eleven hectares between the river and the old brick works, planted since 1868.
  walled-garden | Walled garden | Four squares, one pump. The south wall holds fans of pears planted in 1911.
  glasshouses | Glasshouses | Three houses under one roof of four thousand panes, heated by wood from our own coppice.
    temperate-house | Temperate house | Citrus, camellias and tree ferns; never below seven degrees.
    alpine-house | Alpine house | Cold, bright and dry, with a fan in summer: as near to a mountain as we can make it.
    fern-pit | Fern pit | Sunk two metres into the ground so that it needs neither heating nor shade.
    succulent-house | Succulent house | Plants that store water, on gravel, behind glass that is never shaded.
  wet-meadow | Wet meadow | Flooded each February. Fritillaries in April, great burnet in July, cut for hay in August.
  orchard | Orchard of old sorts | Ninety kinds of apple, thirty of pear, eleven of medlar and quince.
    apple-day | The apple table | Bring an apple from your own tree in October, and we will try to name it.
  winter-walk | Winter walk | Bark, stems and scent: planted to be walked in the ten weeks when little else is out.
  long-border | The long border | A hundred and twenty metres, in flower from May until the frost.
  arboretum | Arboretum | Two hundred trees from the northern woods, each with its label and its year.
  rock-garden | Rock garden | Limestone from the old quarry, laid in 1922 in the way it lay in the hill.
  nuttery | The nuttery | Cobs and filberts on stems kept low enough to pick, over a floor of primroses.
  bee-garden | Bee garden | Twelve hives, and something in flower for them in every month but December.
  childrens-garden | The children’s garden | Everything here may be touched, most of it tasted, some of it climbed.
  river-bank | River bank | Willows, kingfishers, and a bench for each bend.
  plant-of-the-month | Plant of the month | One plant, seen closely: where it grows here, why it flowers now, how to keep it.
learn | Learn | Courses for hands, guides for evenings, and answers for whoever asks.
  courses | Courses | Small groups, good tools, and a plant to take home.
    grafting | Grafting weekend | Two days in February: whip and tongue, cleft and bud. You leave with three trees.
    seed-saving | Seed saving | How to choose, dry, clean and keep seed, and what will not come true.
    botanical-drawing | Botanical drawing | Eight mornings with a pencil, a lens and one plant at a time.
    pruning-fruit | Pruning fruit trees | A winter day and a summer day, because a tree is pruned for two reasons.
    hedge-laying | Hedge laying | Billhook, stakes and patience: thirty metres by Sunday evening.
    willow-weaving | Willow weaving | A basket in a day from willow cut on our own bank.
    compost | Compost from start to end | What goes in, what stays out, when to turn it, and how to know that it is done.
    wildflower-meadows | Making a meadow | Soil, seed, yellow rattle, and the first three years of mowing.
    propagation | Cuttings and division | Make forty plants from five, without a heated bench.
    garden-design | Planning a small garden | Bring a plan of your own; go home with a better one.
    mushrooms | Mushrooms on logs | Drill, plug, wax and wait. One log goes home with you.
    natural-dyes | Dyeing with plants | Weld, woad and madder, from the bed to the yarn.
    lichens | Lichens with a lens | A walk of two hundred metres that takes three hours.
  guides | Growing guides | What we do here, week by week, written by those who do it.
    sowing-calendar | Sowing calendar | What to sow in each half month, under glass and in the open.
    soil-basics | Know your soil | A jar, some water and a night of waiting tell you sand from clay.
    watering | Watering well | Seldom and deeply; in the evening; at the foot and not over the leaves.
    pests | Pests without poison | Nets, timing, frogs and a calm mind.
    pruning-calendar | Pruning calendar | Which shrubs flower on old wood, which on new, and what that means for the knife.
    mulch | Mulch | Leaves, bark, compost and straw: what each one does, and when to spread it.
    pots | Growing in pots | Bigger pots, grittier soil, more water than you think.
    shade | Planting in shade | Dry shade and damp shade are two different gardens.
    lawn-to-meadow | From lawn to meadow | Stop feeding, take the hay off, and be patient for three summers.
    saving-water | Saving water | Butts, swales, gravel, and plants that do not mind.
    hardy-annuals | Hardy annuals in autumn | Sown in September, they are stronger and a month earlier.
    green-manures | Green manures | Cover bare soil in winter and dig it in before it flowers.
    grafting-notes | Grafting notes | Rootstocks, timing, tape and wax, in two pages.
    storing-apples | Storing apples | Which keep until Easter, and how to lay them so that they do.
    growing-notes | Growing guides of old | What the head gardeners of 1890 to 1940 wrote down, with our remarks.
  ask | Ask a gardener | Tuesdays from two to four, at the potting shed door. Bring a leaf in a bag.
  library | Library | Nine thousand books and a stove. Open to all who wash their hands.
  schools | For schools | Eight lessons that need nothing but a window sill.
    window-sill | Lessons on a window sill | Cress, beans, mould and light: each takes ten minutes a day.
    school-garden | A school garden | How to begin with four square metres and one term.
whats-on | What’s on | Something on most days, from the snowdrop weekend to the wreath workshop.
  calendar | Calendar | Everything in order of date.
  snowdrop-weekend | Snowdrop weekend @event | Forty kinds under the limes, soup in the tea room. First weekend of February.
  seed-swap | Seed swap day @event | Bring what you saved, take what you lack. Last Sunday of February.
  potato-day | Potato day @event | Sixty kinds by the tuber, so that you can try ten and not a sack of one.
  blossom-week | Blossom week @event | The orchard opens early and closes late, with a walk each evening.
  dawn-chorus | Dawn chorus walk @event | Four in the morning on the first Sunday of May. Tea afterwards.
  plant-fair | Plant fair @event | Thirty nurseries, all of which grow what they sell.
  rose-evening | Evening of the old roses @event | Scent is strongest at eight in the evening, so that is when we open.
  moth-night | Moth night @event | A sheet, a lamp, and somebody who knows their names.
  meadow-mowing | Mowing by scythe @event | The wet meadow is cut by hand in August. Learners mow the edge.
  family-day | Family day @event | Pond dipping, seed bombs, and the tractor.
  harvest-table | Harvest table @event | One long table in the walled garden. Bring a dish from your own plot.
  apple-weekend | Apple weekend @event | Pressing, tasting and naming. Third weekend of October.
  bulb-planting | Bulb planting day @event | Four thousand bulbs, sixty people, one day.
  lantern-walk | Lantern walk @event | Along the winter walk after dark. Lanterns are made on the spot.
  wreaths | Wreath workshop @event | Holly, ivy, larch and dried seed heads, on a ring of willow.
  concerts | Concerts in the apple loft @event | Strings and a stove, on four Sundays in winter.
  open-studios | Open studios @event | Our drawing classes show what they saw.
  talks | Evening talks @event | The first Thursday of the month: one subject, one hour, one expert.
research | Research | We keep seed, name plants, and watch when they flower.
  seed-bank | Seed bank | Eleven thousand packets at minus twenty degrees, each one tested every ten years.
  herbarium | Herbarium | Sixty thousand sheets, the oldest from 1791. Visits by appointment.
  phenology | First flowers | The day on which each of two hundred kinds opened its first flower, since 1902.
  projects | Projects | What we are finding out at the moment.
    chalk-streams | Plants of chalk streams | Which water plants return when a weir is taken out.
    old-apples | Names of old apples | Comparing ninety unnamed trees with those in other orchards, leaf by leaf.
    pollinators | Who visits what | Counting insects on forty plants, ten minutes at a time.
    peat-free | Growing without peat | Nine mixtures, six plants, five years.
    dry-summers | Borders for dry summers | What lived through the last three without a can of water.
    ash | After the ash trees | What to plant where they die.
  publications | Publications | Papers, leaflets and the yearly list of seed.
  volunteers | Help with research | Counting, pressing, labelling: a morning a week is enough.
membership | Membership | Come as often as you like, bring a friend, and keep the garden going.
  join | Join | Single 38, two people 60, family 68, for a year from the day you join.
  benefits | What members get | Free entry, early opening on Sundays, a tenth off in the seed house, four letters a year.
  gift-membership | Give a membership | In an envelope made of seed paper. Plant it afterwards.
  renew | Renew | By post, at the gate, or here.
  members-events | Events for members | The glasshouses at night, the seed list before anybody else, and the summer supper.
  patrons | Patrons | Adopt a tree, a bench or a bed for ten years.
about | About Quillmere | A garden, a seed house and a school, run by a trust since 1954.
  history | History | A doctor’s physic garden, then a nursery, then nearly a car park; a garden again since 1954.
  people | People | Twenty-two gardeners, nine in the seed house, four in the library, and two hundred volunteers.
  jobs | Jobs and apprenticeships | Two apprentices begin each September. They are paid, and they stay three years.
  volunteering | Volunteering | Any weekday morning. Gloves and soup are provided.
  sustainability | How we work | No peat, no poison, and rain water in every can.
  support | Support us | What it costs to keep eleven hectares, and how to help.
  accounts | Yearly reports | What came in, what went out, and what was planted.
  news | News | What happened, shortly told.
    moss-room | The moss room opens @article | Forty kinds of moss in a room of their own, beside the fern pit.
    new-boiler | A new boiler @article | The glasshouses are heated by chips of our own coppice from this winter on.
    seed-list | The autumn seed list is here @article | Two hundred and twelve kinds, eleven of them new.
    fritillary-count | Nine thousand fritillaries @article | The most since counting began in 1978.
    old-pear | The pear of 1911 @article | It fell in the March storm, and was grafted in time.
    bench-prize | A bench for each bend @article | The last of the river benches stands.
    library-hours | Longer hours in the library @article | Thursdays until eight from now on.
contact | Contact | By post, by telephone from nine to four, or at the potting shed door.
press | Press | Pictures to use and people to ask.
privacy | Privacy | We keep your address while you are a member, and tell nobody.
terms | Terms of sale | What we promise about seed, and what no one can promise.
delivery | Delivery and returns | Packets go by letter on the next working day; trees go bare-rooted from November.
accessibility | Accessibility of this site | How it is built, what is known to be wrong, and whom to tell.
`;

import { hashOf, type NamedResource, writeWords } from '#core/resources/index.ts';
import { keepResource } from '../resources/resources.ts';

/** Word banks that every workspace begins with; common words, put together for this program. */
export const READY_BANKS = [
  {
    id: 'bees',
    name: 'Bees & hives',
    words:
      'swarm propolis drone nectar skep waggle brood queen pollen smoker comb forager honey veil apiary clover heather lavender royal jelly|beeswax worker larva pupa entrance frame super nurse guard scout stinger antenna wings colony cluster extractor hive tool|mead candle bloom orchard meadow borage linden sunflower dandelion foundation uncapping honeydew bumblebee mason bee|feeder crocus willow bramble hawthorn ivy landing board|queen cup|drone comb|winter store|spring flow|gloves brush varroa requeen split nucleus observation hexagon amber golden sweet',
  },
  {
    id: 'sky',
    name: 'Night skies',
    words:
      'comet meteor nebula galaxy eclipse crescent zenith horizon telescope twilight equinox solstice aurora pulsar quasar asteroid orbit planet lunar solar corona crater tide gravity cluster supernova dwarf giant polaris sirius vega rigel altair deneb capella spica antares orion lyra cygnus draco cassiopeia pegasus andromeda perseus aquila hercules gemini taurus leo virgo libra scorpius dipper starlight moonrise observatory binoculars eyepiece parallax redshift lightyear midnight constellation',
  },
  {
    id: 'tide',
    name: 'Tide pools',
    words:
      'limpet barnacle anemone urchin starfish mussel whelk periwinkle hermit crab|shore crab|kelp bladderwrack seaweed shrimp prawn goby blenny sculpin cockle razor shell|oyster scallop coral sponge tide ebb flow rockpool shingle pebble sand foam surf spray wave cove inlet headland lighthouse driftwood net bucket spade sandpiper oystercatcher gull tern cormorant puffin seal dolphin jellyfish plankton sea slug|chiton lugworm dulse lagoon estuary harbor anchor',
  },
  {
    id: 'birds',
    name: 'Hedgerow birds',
    words:
      'wren robin dunnock blackbird song thrush|mistle thrush|goldfinch greenfinch chaffinch bullfinch linnet yellowhammer whitethroat blackcap chiffchaff sparrow starling fieldfare redwing waxwing nuthatch treecreeper woodpecker blue tit|great tit|coal tit|cuckoo nightingale warbler skylark swallow martin swift kestrel owl partridge pheasant magpie jay rook jackdaw hawthorn blackthorn bramble hazel holly dog rose|elder nest feather egg fledgling brood perch berry insect song dawn chorus|migration plumage binoculars',
  },
  {
    id: 'garden',
    name: 'Garden',
    words:
      'rose tulip daisy lily poppy peony iris pansy violet marigold dahlia aster orchid lavender jasmine lilac hydrangea camellia geranium begonia petunia zinnia foxglove hollyhock primrose snowdrop daffodil hyacinth lupin sweet pea|trowel rake spade hoe shears gloves watering can|wheelbarrow greenhouse compost mulch seedling bulb petal stem root thorn pollen hedge lawn trellis arbor pergola pathway fountain bird bath|scarecrow ladybug earthworm butterfly harvest blossom sprout prune weed sunshine raindrop',
  },
  {
    id: 'kitchen',
    name: 'Kitchen',
    words:
      'skillet saucepan kettle spatula whisk ladle grater colander peeler rolling pin|cutting board|mixing bowl|measuring cup|oven stove toaster blender cinnamon nutmeg ginger paprika oregano basil thyme rosemary parsley cilantro pepper garlic onion butter flour sugar vanilla yeast batter dough biscuit muffin pancake waffle omelet casserole stew gravy roast grill simmer knead sprinkle recipe apron napkin teaspoon pantry leftovers dessert cookie brownie',
  },
  {
    id: 'ocean',
    name: 'Ocean',
    words:
      'dolphin whale shark octopus squid turtle seahorse starfish jellyfish lobster shrimp oyster clam manta ray|stingray marlin tuna salmon mackerel sardine anchovy grouper snapper barracuda swordfish pelican albatross penguin walrus otter manatee narwhal orca coral reef lagoon current tide wave trench island anchor compass captain sailor harbor lighthouse snorkel diver submarine treasure mermaid driftwood seashell sandbar kelp plankton',
  },
  {
    id: 'farm',
    name: 'Farm',
    words:
      'tractor barn silo haystack pitchfork plow scarecrow windmill orchard pasture meadow fence rooster chicken duckling goose turkey piglet lamb sheep goat donkey pony stallion calf heifer cattle collie barley wheat cornfield oats soybean pumpkin cabbage carrot potato turnip alfalfa clover harvest sunrise bucket saddle bridle wagon trough stable coop hatchery dairy butter churn|milk pail|fresh eggs|hayloft farmer shepherd',
  },
  {
    id: 'weather',
    name: 'Weather',
    words:
      'sunshine rainbow thunder lightning drizzle downpour shower hailstone snowflake blizzard flurry icicle frost fog mist haze breeze gale gust hurricane tornado cyclone monsoon drought heatwave humidity forecast barometer thermometer umbrella raincoat overcast cloudy stratus cumulus cirrus nimbus horizon twilight dew puddle sleet slush avalanche flood temperature climate season autumn winter spring summer cold front|high tide|wind chill|sunburn snowman',
  },
  {
    id: 'music',
    name: 'Music',
    words:
      'piano violin cello viola trumpet trombone tuba flute clarinet oboe bassoon saxophone harp guitar banjo mandolin ukulele drum cymbal tambourine xylophone triangle organ accordion harmonica melody harmony rhythm tempo chord octave scale treble clef|bass clef|quarter note|measure staff sharp flat major minor duet trio quartet orchestra choir soprano alto tenor baritone conductor composer concert encore ballad waltz opera lullaby anthem lyrics',
  },
  {
    id: 'travel',
    name: 'Travel',
    words:
      'airport suitcase passport boarding pass|luggage departure arrival terminal runway pilot ticket window seat|aisle train station|platform conductor ferry cruise harbor highway detour road trip|map compass guidebook camera postcard souvenir museum gallery castle cathedral bridge market plaza hotel hostel lobby reservation backpack campsite tent hiking trail summit valley canyon desert oasis island beach lagoon adventure journey passenger customs currency language',
  },
  {
    id: 'autumn',
    name: 'Autumn',
    words:
      'acorn pumpkin scarecrow cornstalk harvest maple leaf|bonfire cider apple orchard|cinnamon nutmeg sweater flannel scarf hayride corn maze|chestnut pinecone squirrel migration geese crimson amber golden russet mushroom rake wheelbarrow football bluebird cranberry pecan pie|turkey gravy stuffing cornbread gratitude candle blanket fireplace cocoa raincoat puddle foggy morning|frost equinox october november gourd squash wreath basket lantern',
  },
  {
    id: 'winter',
    name: 'Winter',
    words:
      'snowflake icicle mitten scarf earmuffs sled toboggan skates snowball snowman blizzard frost glacier polar bear|penguin reindeer evergreen pinecone holly mistletoe wreath garland ornament candle lantern fireplace chimney stocking ribbon carol jingle bell|gingerbread peppermint eggnog hot cocoa|cranberry chestnut shortbread blanket slippers flannel cabin lodge skiing hockey igloo solstice midnight january february december shovel boots parka',
  },
  {
    id: 'animals',
    name: 'Animals',
    words:
      'lion tiger leopard cheetah panther elephant giraffe zebra rhino hippo gorilla monkey lemur koala kangaroo wombat platypus panda grizzly wolf fox coyote badger raccoon skunk beaver otter moose elk caribou bison buffalo antelope gazelle camel llama alpaca hedgehog porcupine armadillo anteater sloth rabbit squirrel chipmunk hamster eagle falcon raven parrot toucan flamingo peacock ostrich lizard iguana tortoise crocodile python',
  },
].map(({ words, ...bank }) => ({
  ...bank,
  words: words.split('|').flatMap((part, i, parts) => {
    // Single words are parted by spaces; a bar closes a word of two parts.
    const singles = part.trim().split(' ');
    const closesPair = i < parts.length - 1;
    return closesPair ? [...singles.slice(0, -2), singles.slice(-2).join(' ')] : singles;
  }),
}));

const contents = new Map(READY_BANKS.map(({ id, words }) => [id, writeWords(words)]));

/** The content of a bank, as it lies in the file store. */
export const contentOfBank = (id: string): Uint8Array => contents.get(id)!;

/** The resources of a book that uses one bank, under the bank's id. */
export function resourcesOfBank(id: string): Record<string, NamedResource> {
  const { name, words } = READY_BANKS.find((bank) => bank.id === id)!;
  return { [id]: { type: 'words', hash: hashOf(contentOfBank(id)), name, facts: { words: words.length } } };
}

/** Puts the ready banks into a workspace. */
export async function keepReadyBanks(workspaceId: string): Promise<void> {
  for (const { id, name } of READY_BANKS)
    await keepResource(workspaceId, { type: 'words', name }, [contentOfBank(id)]);
}

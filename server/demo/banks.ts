import { hashOf, type NamedResource, writeWords } from '#core/resources/index.ts';

/** Word banks of the invented Tin Lantern Press. */
export const DEMO_BANKS = [
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
      'limpet barnacle anemone urchin starfish mussel whelk periwinkle hermit crab|shore crab|kelp bladderwrack seaweed shrimp prawn goby blenny sculpin cockle razor shell|oyster scallop coral sponge tide ebb flow rockpool shingle pebble sand foam surf spray wave cove inlet headland lighthouse driftwood net bucket spade sandpiper oystercatcher gull tern cormorant puffin seal dolphin jellyfish plankton sea slug|chiton lugworm dulse lagoon estuary harbour anchor',
  },
  {
    id: 'birds',
    name: 'Hedgerow birds',
    words:
      'wren robin dunnock blackbird song thrush|mistle thrush|goldfinch greenfinch chaffinch bullfinch linnet yellowhammer whitethroat blackcap chiffchaff sparrow starling fieldfare redwing waxwing nuthatch treecreeper woodpecker blue tit|great tit|coal tit|cuckoo nightingale warbler skylark swallow martin swift kestrel owl partridge pheasant magpie jay rook jackdaw hawthorn blackthorn bramble hazel holly dog rose|elder nest feather egg fledgling brood perch berry insect song dawn chorus|migration plumage binoculars',
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

const contents = new Map(DEMO_BANKS.map(({ id, words }) => [id, writeWords(words)]));

/** The content of a bank, as it lies in the file store. */
export const contentOfBank = (id: string): Uint8Array => contents.get(id)!;

/** The resources of a book that uses one bank, under the bank's id. */
export function resourcesOfBank(id: string): Record<string, NamedResource> {
  const { name, words } = DEMO_BANKS.find((bank) => bank.id === id)!;
  return { [id]: { type: 'words', hash: hashOf(contentOfBank(id)), name, facts: { words: words.length } } };
}

export const plants = {
  'Garden flowers':
    'rose, tulip, daffodil, lily, peony, iris, pansy, petunia, marigold, zinnia, dahlia, aster, cosmos, snapdragon, delphinium, larkspur, lupin, foxglove, hollyhock, phlox, columbine, primrose, cowslip, violet, viola, carnation, sweet william, sweet pea, nasturtium, geranium, begonia, impatiens, fuchsia, lobelia, alyssum, gladiolus, hyacinth, crocus, snowdrop, anemone, freesia, ranunculus, poppy, cornflower, sunflower, chrysanthemum, lavender, salvia',
  Wildflowers:
    'buttercup, daisy, bluebell, poppy, cornflower, foxglove, primrose, cowslip, campion, clover, vetch, yarrow, thistle, teasel, knapweed, scabious, harebell, violet, celandine, stitchwort, speedwell, forget me not, ragwort, tansy, meadowsweet, mallow, bindweed, honeysuckle, dog rose, heather, gorse, broom, willowherb, chicory, dandelion, coltsfoot, lupine, columbine, fireweed, goldenrod, aster, trillium, orchid, eyebright, plantain, oxeye daisy',
  Trees:
    'oak, ash, elm, beech, birch, maple, sycamore, linden, poplar, aspen, willow, alder, hazel, hawthorn, rowan, holly, yew, pine, spruce, fir, larch, cedar, cypress, juniper, redwood, sequoia, hemlock, walnut, chestnut, hickory, pecan, plane, cherry, apple, pear, plum, magnolia, dogwood, eucalyptus, acacia, baobab, palm, teak, mahogany, ebony, olive, fig, ginkgo',
  'In the forest':
    'tree, trunk, bark, branch, twig, leaf, root, stump, log, moss, fern, lichen, mushroom, toadstool, acorn, pinecone, berry, bramble, ivy, undergrowth, clearing, glade, canopy, path, stream, brook, bridge, cabin, lookout, deer, fox, squirrel, owl, woodpecker, badger, hedgehog, beetle, spider web, birdsong, rustle, shade, sunbeam, mist, dew, ranger, hiker, campfire, silence',
  'House plants':
    'aloe, spider plant, snake plant, peace lily, pothos, philodendron, monstera, rubber plant, jade plant, cactus, succulent, echeveria, orchid, bromeliad, begonia, african violet, cyclamen, amaryllis, poinsettia, ficus, dracaena, yucca, croton, coleus, calathea, maranta, fern, ivy, palm, bonsai, air plant, string of pearls, kalanchoe, jasmine, pot, saucer, soil, watering can, mister, fertilizer, windowsill, macrame, cutting, light, shade, leaf',
  Herbs:
    'basil, parsley, sage, rosemary, thyme, oregano, marjoram, mint, peppermint, spearmint, lemon balm, lemongrass, dill, fennel, chives, cilantro, coriander, tarragon, chervil, bay leaf, savory, borage, lovage, sorrel, hyssop, chamomile, lavender, calendula, echinacea, feverfew, valerian, verbena, catnip, comfrey, yarrow, angelica, anise, caraway, cumin, rue, garlic, pestle, mortar, bunch, dried, pot, tea, garden',
  'In the vegetable patch':
    'asparagus, artichoke, beet, broccoli, cabbage, carrot, cauliflower, celery, chard, corn, cucumber, eggplant, endive, fennel, garlic, kale, kohlrabi, leek, lettuce, onion, parsnip, pea, pepper, potato, pumpkin, radish, rhubarb, rutabaga, shallot, spinach, squash, sweet potato, tomato, turnip, watercress, zucchini, bean, lentil, okra, scarecrow, compost, spade, furrow, seed, seedling, harvest, basket, beanpole',
  'Garden tools':
    'spade, shovel, fork, hoe, rake, trowel, dibber, shears, pruner, secateurs, loppers, hedge trimmer, lawn mower, edger, wheelbarrow, watering can, hose, sprinkler, nozzle, bucket, sieve, gloves, kneeler, apron, boots, twine, stakes, trellis, netting, cloche, cold frame, greenhouse, pot, seed tray, labels, fertilizer, compost bin, leaf blower, pitchfork, mattock, axe, saw, ladder, shed, spreader, sprayer, cultivator',
  'Parts of a plant':
    'root, taproot, root hair, stem, stalk, trunk, bark, branch, twig, bud, leaf, blade, vein, petiole, needle, thorn, prickle, tendril, runner, bulb, corm, tuber, rhizome, flower, petal, sepal, calyx, corolla, stamen, anther, filament, pistil, stigma, style, ovary, pollen, nectar, seed, seed coat, embryo, fruit, pod, husk, cone, spore, sap, chlorophyll, cell',
  'Fruit trees and berries':
    'apple, pear, plum, cherry, peach, apricot, nectarine, quince, medlar, fig, olive, mulberry, lemon, lime, orange, grapefruit, tangerine, kumquat, pomelo, mango, papaya, avocado, guava, banana, coconut, date, persimmon, pomegranate, lychee, strawberry, raspberry, blackberry, blueberry, cranberry, gooseberry, currant, elderberry, boysenberry, bilberry, grape, orchard, blossom, ladder, basket, harvest, branch, ripe, juice',
};

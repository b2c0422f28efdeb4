/**
 * A material in a line: id, name, other names, kind, moisture of wet mass, carbon and nitrogen % of dry mass, share of the
 * nitrogen that comes as ammonium or urea, bulk density kg/m3, lignin % of dry mass, share of the carbon that is humus
 * already, phosphorus and potassium % of dry mass, particle size, decay factor, ammonia exposure, traits. Orders of magnitude
 * of compost, feed and manure tables (NRAES-54, feed tables, advisory leaflets; from memory).
 */
const TABLE = `
seaweed_kelp|Seaweed, kelp and wrack|kelp, wrack, seagrass, beach weed|green|0.8|32|2|0.02|350|4|0|0.3|5|fine|1|0.05|isSalty mayHoldMetals
comfrey_leaves|Comfrey leaves|comfrey, knitbone|green|0.88|41|3.2|0.03|250|5|0|0.5|6|fine|1|0.05|
nettles|Nettles|stinging nettle|green|0.82|42|3.5|0.03|180|7|0|0.6|3.5|fine|1|0.05|
bracken_green|Bracken, green|green fern, fronds|green|0.75|46|2.2|0.02|120|18|0|0.25|2.5|fine|1|0.03|
bracken_brown|Bracken, brown|dead bracken, brown fern|residue|0.25|47|0.9|0|80|28|0|0.06|0.5|fine|1|0|
hemp_hurd|Hemp hurd|hemp shives, hemp bedding|residue|0.12|46|0.5|0|110|20|0|0.08|0.6|chip|1|0|
flax_shive|Flax shives|flax straw, linseed straw|residue|0.12|47|0.6|0|100|22|0|0.08|0.7|chip|1|0|
rice_husk|Rice husks|rice hulls|residue|0.1|38|0.5|0|110|20|0|0.08|0.5|fine|0.8|0|
rice_straw|Rice straw|paddy straw|residue|0.15|40|0.7|0|70|10|0|0.1|1.8|fine|1|0|
oat_husk|Oat and grain husks|chaff, hulls, millet husks|residue|0.1|44|0.7|0|120|14|0|0.12|0.6|fine|1|0|
coir|Coir|coconut fiber, coco peat, coconut husk|residue|0.4|47|0.45|0|90|42|0|0.03|0.8|fine|0.6|0|
peat_moss|Peat|peat moss, sphagnum peat|compost|0.5|50|0.9|0.01|150|35|0.35|0.03|0.05|fine|0.5|0|
spent_hops|Spent hops|brewery hops|green|0.75|45|3|0.02|350|20|0|0.6|0.6|fine|1|0.05|
brewers_grain|Brewery grain|spent grain, draff, malt|green|0.77|48|4|0.03|650|8|0|0.6|0.1|fine|1|0.1|
tea_leaves|Tea leaves|tea bags, spent tea|green|0.7|49|3.6|0.01|350|22|0|0.3|0.5|fine|1|0.03|mayHoldPlastic
hair|Hair|human hair, pet hair, fur|fertiliser|0.1|45|14|0|100|1|0|0.05|0.05|fine|0.3|0.05|
wool|Wool|sheep wool, fleece, wool pellets, wool waste|fertiliser|0.12|45|10|0|120|1|0|0.1|3|fine|0.3|0.05|
horn_meal|Horn meal|horn and hoof, hoof meal|fertiliser|0.08|44|13|0|700|1|0|0.3|0.1|fine|0.7|0.05|
horn_shavings|Horn shavings|horn chips, coarse horn|fertiliser|0.08|44|14|0|500|1|0|0.3|0.1|chip|0.5|0.03|
bone_meal|Bone meal|bonemeal|fertiliser|0.06|22|4|0|800|1|0|10|0.2|fine|1|0.05|
meat_bone_meal|Meat and bone meal|animal meal|fertiliser|0.06|38|8.5|0.02|650|1|0|5|0.5|fine|1|0.1|
fish_meal|Fish meal|dry fish, fish scraps|fertiliser|0.08|40|9.5|0.02|600|1|0|3.5|0.8|fine|1|0.1|
crab_meal|Crab and shrimp meal|shell meal, chitin, shrimp shells|fertiliser|0.08|32|5|0|550|1|0|2|0.4|fine|0.8|0.05|
soybean_meal|Soybean meal|soya meal, soy cake|fertiliser|0.1|44|7.5|0|650|4|0|0.7|2.2|fine|1|0.05|
cottonseed_meal|Cottonseed meal|cotton cake|fertiliser|0.1|44|6.8|0|600|9|0|1.2|1.6|fine|1|0.05|
rapeseed_meal|Rapeseed meal|canola meal, mustard cake, oilseed cake|fertiliser|0.1|45|6|0|600|9|0|1.1|1.3|fine|1|0.05|
neem_cake|Neem cake|neem meal, castor meal, castor pomace|fertiliser|0.1|44|5|0|580|18|0|0.6|1.4|fine|0.8|0.03|
corn_gluten|Corn gluten meal|maize gluten|fertiliser|0.1|46|9.6|0|600|2|0|0.5|0.2|fine|1|0.05|
malt_sprouts|Malt sprouts|malt culms, maltaflor|fertiliser|0.08|43|4.5|0.02|300|6|0|0.7|1.8|fine|1|0.05|
vinasse|Vinasse|sugar beet molasses, distillery liquid|fertiliser|0.35|38|5|0.05|1300|1|0|0.2|6|fine|1|0.1|isSalty
pig_manure|Pig manure, solid|swine manure, hog manure|manure|0.72|40|2.8|0.3|800|10|0.06|1.8|1.4|fine|1|0.7|isSalty mayHoldMetals
pig_slurry|Pig slurry|hog slurry, liquid pig manure|manure|0.94|38|8|0.65|1000|6|0.03|2.2|4|fine|1|0.9|isSalty mayHoldMetals
cattle_slurry|Cattle slurry|cow slurry, liquid manure|manure|0.92|40|4.5|0.5|1000|14|0.08|0.8|4|fine|1|0.8|mayCarryWeedkiller
rabbit_manure|Rabbit manure|rabbit droppings, hutch litter, guinea pig bedding|manure|0.6|41|2.4|0.1|450|14|0.05|0.9|1|fine|1|0.3|mayCarryWeedkiller
duck_manure|Duck and goose manure|duck bedding|manure|0.62|38|2.8|0.25|600|11|0.06|1.4|1|fine|1|0.6|isSalty
turkey_litter|Turkey litter|turkey manure|manure|0.3|38|3.6|0.25|450|12|0.08|1.6|2|fine|1|0.6|isSalty
pigeon_manure|Pigeon manure|pigeon droppings, quail manure|manure|0.5|36|5|0.3|600|8|0.03|1.5|1.5|fine|1|0.7|isSalty
horse_fresh|Horse manure, without bedding|horse apples, stable droppings|manure|0.72|43|1.9|0.1|700|16|0.04|0.6|1.5|fine|1|0.3|mayCarryWeedkiller
donkey_llama|Llama and alpaca manure|alpaca beans, camel, donkey manure|manure|0.6|42|1.9|0.08|550|15|0.06|0.7|1.3|fine|1|0.2|mayCarryWeedkiller
bat_guano|Bat guano|guano|fertiliser|0.2|30|9|0.35|650|2|0.05|3|1.5|fine|1|0.4|isSalty
seabird_guano|Seabird guano|Peruvian guano, guano|fertiliser|0.15|22|11|0.45|800|1|0|5|2|fine|1|0.5|isSalty
digestate_liquid|Digestate, liquid|biogas digestate, anaerobic digestate|manure|0.94|36|8|0.6|1000|10|0.15|1|5|fine|1|0.9|isSalty mayHoldPlastic
digestate_solid|Digestate, solid|separated digestate|manure|0.72|42|2.2|0.2|500|20|0.15|0.9|1.2|fine|1|0.5|mayHoldPlastic
frass|Insect frass|mealworm frass, black soldier fly|fertiliser|0.12|41|3.5|0.1|500|5|0.05|1.5|2|fine|1|0.1|
composted_bark|Composted bark|bark compost, soil improver|compost|0.55|40|0.9|0.01|400|30|0.2|0.12|0.4|chip|0.8|0|isMature
compost_municipal|Municipal compost|green waste compost, council compost, city compost|compost|0.4|25|1.5|0.05|620|14|0.3|0.25|0.9|fine|1|0.02|mayHoldPlastic mayHoldMetals
compost_food|Food-waste compost|kitchen compost, bokashi compost|compost|0.45|27|2|0.06|620|10|0.28|0.4|1.2|fine|1|0.05|isSalty mayHoldPlastic
biosolids|Biosolids, composted|sewage sludge, sludge compost, sludge|compost|0.4|28|2.8|0.08|650|10|0.25|2|0.3|fine|1|0.1|mayHoldMetals mayHoldPlastic isSalty
bokashi|Bokashi, fermented scraps|fermented kitchen waste|green|0.75|45|2.8|0.1|700|6|0|0.4|1.5|fine|1|0.1|isSalty
leaves_maple|Maple and ash leaves|soft leaves, maple leaves, ash leaves, lime leaves, linden leaves|leaf|0.4|46|1|0|110|14|0|0.12|0.6|fine|1.1|0|
leaves_beech|Beech and oak leaves|beech leaves, hornbeam leaves|leaf|0.35|48|0.85|0|110|26|0|0.08|0.35|fine|0.8|0|
leaves_birch|Birch, willow and poplar leaves|birch leaves, aspen leaves|leaf|0.4|48|1.2|0|110|20|0|0.15|0.7|fine|1|0|
leaves_alder|Alder and nut leaves|alder leaves, walnut leaves, hazel leaves|leaf|0.45|48|2.2|0|120|17|0|0.15|0.8|fine|1|0.01|
leaves_fruit|Fruit tree leaves|apple leaves, cherry leaves, vine leaves|leaf|0.45|46|1.4|0|115|13|0|0.15|1|fine|1.1|0|
leaves_evergreen|Leathery evergreen leaves|magnolia leaves, holly, laurel, eucalyptus leaves, ivy|leaf|0.4|50|0.9|0|120|24|0|0.07|0.5|fine|0.6|0|
pine_needles|Pine needles|pine straw, conifer needles, larch needles|leaf|0.25|51|0.6|0|90|27|0|0.07|0.3|fine|0.6|0|
palm_fronds|Palm fronds|palm leaves, shredded palm|leaf|0.4|46|0.9|0|100|20|0|0.09|1|chip|0.8|0|
banana_leaves|Banana leaves and stems|banana trash, pseudostem|green|0.88|42|1.5|0.01|250|10|0|0.15|5|fine|1|0.02|
sugarcane_bagasse|Sugarcane bagasse|bagasse|residue|0.5|46|0.35|0|120|19|0|0.05|0.2|fine|1|0|
sugarcane_trash|Sugarcane mulch|cane trash, cane tops, sugar cane straw|residue|0.15|44|0.55|0|70|15|0|0.07|0.8|fine|1|0|
bamboo_chips|Bamboo chips|shredded bamboo|wood|0.4|48|0.35|0|220|24|0|0.08|0.6|chip|0.9|0|
bamboo_leaves|Bamboo leaves|bamboo litter|leaf|0.3|42|1.6|0|90|14|0|0.1|0.8|fine|0.9|0|
palm_chips|Palm trunk chips|shredded palm trunk|wood|0.6|45|0.5|0|200|20|0|0.06|0.8|chip|1.1|0|
chips_willow|Willow and poplar chips|willow chips, aspen chips, soft hardwood chips|wood|0.5|48|0.6|0|230|20|0|0.08|0.3|chip|1.2|0|
chips_fruitwood|Fruit tree chips|apple wood chips, vine prunings, grape prunings, orchard prunings|wood|0.45|48|0.7|0|280|22|0|0.1|0.4|chip|1|0|
chips_resinous|Cedar, cypress and juniper chips|cedar mulch, cypress mulch, thuja chips|wood|0.4|51|0.25|0|240|32|0|0.03|0.15|chip|0.5|0|
chips_locust|Oak, locust and chestnut chips|durable hardwood chips, oak chips, black locust chips|wood|0.4|49|0.4|0|300|25|0|0.04|0.2|chip|0.7|0|
chips_eucalyptus|Eucalyptus chips|gum tree mulch, eucalyptus mulch|wood|0.45|49|0.35|0|280|28|0|0.03|0.25|chip|0.7|0|
chips_hedge|Hedge trimmings, shredded|hedge clippings, shredded hedge, privet clippings, green chippings|wood|0.55|47|1.3|0|220|20|0|0.18|0.9|chip|1.2|0|
chips_palletwood|Pallet wood chips, untreated|recycled wood chips, dyed mulch, colored mulch|wood|0.2|49|0.15|0|230|27|0|0.02|0.06|chip|0.9|0|mayHoldMetals
wood_pellets|Wood pellets|stove pellets, pellet bedding, pine pellets|wood|0.08|50|0.12|0|650|27|0|0.02|0.08|fine|0.9|0|
wood_fibre|Wood fiber|wood fibre, excelsior, wood wool|wood|0.3|49|0.12|0|100|26|0|0.01|0.06|fine|1.1|0|
wood_flour|Sander dust|sanding dust, wood flour|wood|0.1|49|0.12|0|200|25|0|0.01|0.06|fine|1.3|0|
rotten_wood|Rotten wood|punky logs, stump grindings, decayed wood|wood|0.55|48|0.5|0|300|38|0.06|0.04|0.1|chip|0.7|0|
twigs|Twigs and sticks|brushwood, kindling, loppings|wood|0.4|48|0.7|0|110|24|0|0.08|0.4|coarse|0.9|0|
cones|Cones and acorn husks|pine cones, spruce cones|wood|0.3|50|0.4|0|150|34|0|0.05|0.2|coarse|0.5|0|
nut_shells|Nut shells|hazelnut shells, walnut shells, almond hulls, pecan shells, peanut shells|residue|0.12|50|0.5|0|300|32|0|0.05|0.5|chip|0.5|0|
cocoa_shells|Cocoa shells|cocoa bean hulls, cacao shell mulch|residue|0.12|45|2.7|0|230|22|0|0.4|2.7|fine|0.8|0.02|
coffee_husk|Coffee husks|coffee chaff, parchment|residue|0.12|46|1.6|0|130|20|0|0.12|2|fine|0.9|0|
maize_stalks|Maize stalks|corn stalks, corn stover, cornstalks|residue|0.3|45|0.8|0|70|13|0|0.1|1.2|chip|1|0|
maize_cobs|Maize cobs|corn cobs|residue|0.15|46|0.5|0|180|10|0|0.06|0.7|chip|0.8|0|
sunflower_stalks|Sunflower stalks|sunflower stems|residue|0.3|44|0.7|0|70|16|0|0.08|2.5|chip|0.9|0|
rape_straw|Rapeseed straw|canola straw, oilseed straw|residue|0.15|45|0.7|0|60|16|0|0.1|1.2|fine|0.9|0|
pea_straw|Pea and bean straw|legume straw, pea straw, bean haulm, lucerne straw|residue|0.15|44|1.5|0|65|13|0|0.13|1.5|fine|1|0|mayCarryWeedkiller
hay_lucerne|Lucerne hay|alfalfa hay, clover hay|residue|0.15|45|2.6|0|110|10|0|0.25|2.2|fine|1|0.02|
hay_salt|Marsh hay|salt hay, reed, sedge, water hay|residue|0.15|44|0.9|0|80|12|0|0.08|0.7|fine|0.8|0|
miscanthus|Miscanthus|elephant grass, switchgrass, ornamental grass straw|residue|0.15|47|0.35|0|100|20|0|0.04|0.5|chip|0.9|0|
reed|Reed, chopped|phragmites, thatch|residue|0.2|46|0.6|0|90|20|0|0.05|0.4|chip|0.8|0|
silage|Silage|haylage, spoiled silage|residue|0.6|45|1.9|0.08|400|9|0|0.3|2|fine|1|0.1|mayCarryWeedkiller
fruit_pomace|Fruit pomace|apple pomace, cider press waste, fruit pulp|green|0.75|47|1|0.01|600|12|0|0.12|0.7|fine|1|0.02|
grape_pomace|Grape pomace|grape marc, wine lees|residue|0.6|50|2|0.01|450|32|0|0.25|2|fine|0.8|0.02|
olive_pomace|Olive pomace|olive cake, olive mill waste|residue|0.5|52|1.1|0|600|28|0|0.1|1.5|fine|0.7|0.01|isSalty
citrus_peel|Citrus peel|orange peel, lemon peel, citrus pulp|green|0.8|44|1.1|0.01|500|3|0|0.12|1|fine|0.9|0.02|
fallen_fruit|Fallen fruit|windfalls, rotten apples, fruit waste|green|0.85|44|0.8|0.01|600|4|0|0.1|1|fine|1|0.02|
tomato_vines|Tomato and potato tops|haulm, vines, crop tops|green|0.82|40|2.3|0.02|150|9|0|0.3|3|fine|1|0.03|
cabbage_leaves|Cabbage leaves|brassica trimmings, outer leaves|green|0.88|40|3.2|0.03|250|4|0|0.4|3|fine|1|0.05|
bread_pasta|Bread and cooked scraps|stale bread, rice, pasta|green|0.4|45|2.2|0|400|1|0|0.2|0.3|fine|1|0.05|
pond_weed|Pond weed|water hyacinth, duckweed, algae, azolla|green|0.92|38|2.8|0.03|350|8|0|0.4|3|fine|1|0.05|
sod|Turf sods, stacked|turf, sod, grass sods|compost|0.3|6|0.45|0.02|1000|12|0.5|0.08|0.8|fine|1|0|
dust_bin|Vacuum and house dust|lint, dryer lint, floor sweepings|residue|0.08|35|2|0|120|5|0|0.1|0.3|fine|0.6|0.01|mayHoldMetals mayHoldPlastic
cotton_rags|Cotton rags|cotton waste, linen, natural textiles|paper|0.08|43|0.3|0|150|2|0|0.02|0.1|fine|0.7|0|
egg_boxes|Egg boxes|pulp board, egg cartons, toilet rolls|paper|0.08|42|0.15|0|80|8|0|0.01|0.05|fine|1|0|
paper_shredded|Shredded office paper|shredder paper, white paper|paper|0.07|37|0.1|0|80|2|0|0.01|0.03|fine|1|0|mayHoldPlastic
ammonium_sulphate|Ammonium sulfate|sulphate of ammonia|fertiliser|0|0|21|1|1000|0|0|0|0|fine|1|0.1|isSalty
calcium_nitrate|Calcium nitrate|nitrate of lime|fertiliser|0|0|15.5|0.07|1050|0|0|0|0|fine|1|0|isSalty
npk_compound|Compound fertilizer, 7-7-7|NPK, growmore, all-purpose fertilizer, ten ten ten|fertiliser|0|0|7|0.6|1000|0|0|3|5.8|fine|1|0.1|isSalty
potassium_nitrate|Potassium nitrate|nitrate of potash, saltpeter|fertiliser|0|0|13.5|0|1100|0|0|0|38|fine|1|0|isSalty
gypsum|Gypsum|calcium sulfate, land plaster|none|0|0|0|0|900|0|0|0|0|fine|1|0|
rock_dust|Rock dust|basalt dust, stone meal|none|0.02|0|0|0|1500|0|0|0.1|0.3|fine|1|0|
eggshells|Eggshells|egg shells, oyster shell|none|0.02|0|0|0|900|0|0|0.1|0.1|fine|1|0|
rock_phosphate|Rock phosphate|phosphate rock, soft rock phosphate|none|0.02|0|0|0|1500|0|0|13|0.1|fine|1|0|mayHoldMetals
potassium_sulphate|Potassium sulfate|sulphate of potash, kali|none|0|0|0|0|1300|0|0|0|42|fine|1|0|isSalty
epsom_salt|Epsom salt|magnesium sulfate|none|0|0|0|0|1000|0|0|0|0|fine|1|0|isSalty
sulphur|Sulfur|elemental sulphur, flowers of sulfur|none|0|0|0|0|1100|0|0|0|0|fine|1|0|
dolomite_lime|Dolomitic lime|magnesium lime, dolomite|none|0|0|0|0|1350|0|0|0|0|fine|1|0|drivesOffAmmonia
sand|Sand and grit|sharp sand, horticultural grit|none|0.05|0|0|0|1600|0|0|0|0|fine|1|0|
perlite|Perlite and vermiculite|pumice|none|0.05|0|0|0|120|0|0|0|0|fine|1|0|
`;

/** The cells of every line. */
export const MATERIAL_LINES: readonly (readonly string[])[] = TABLE.trim()
  .split('\n')
  .map((line) => line.split('|'));

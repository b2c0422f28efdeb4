/**
 * Every crop in a line: id, name, other names, group, form, nitrogen demand g/m2, depth of roots cm, days in the ground, how
 * it starts, share and material of what stays, yield kg/m2, nitrogen, phosphorus and potassium in the harvest g/kg, distance
 * of rows and of plants cm, soil pH from and to, salt tolerance, and traits (size of seed, warmth, and what is true of it).
 */
export const CROP_TABLE = `
leek|Leek||allium|upright|16|50|190|transplant|0.25|veg_waste|3.5|2.5 0.35 3|30 15|6 7.5|sensitive|small soil leaf cool
onion|Onion|bulb onion|allium|upright|11|35|130|set|0.1|veg_waste|4|2 0.35 1.8|30 8|6 7|sensitive|small soil hardy
garlic|Garlic||allium|upright|10|40|260|set|0.1|veg_waste|1.2|7 1.5 4.5|25 12|6 7.5|moderate|large soil hardy
shallot|Shallot||allium|upright|9|35|120|set|0.1|veg_waste|2|3 0.5 2.2|25 15|6 7|sensitive|large soil hardy
spring_onion|Spring onion|scallion, green onion, bunching onion, salad onion|allium|upright|8|30|75|seed|0.1|veg_waste|2.5|2.5 0.35 2.5|15 3|6 7|sensitive|small soil leaf hardy
chives|Chives||allium|upright|8|30|365|transplant|0.3|veg_waste|1.5|4 0.6 3|25 25|6 7.5|sensitive|small leaf perennial hardy
cabbage|Cabbage|white cabbage, red cabbage, head cabbage|brassica|leafy|24|60|120|transplant|0.4|veg_waste|5.5|2.3 0.35 2.7|60 45|6 7.5|moderate|small leaf soil cool
savoy|Savoy cabbage|crinkled cabbage|brassica|leafy|24|60|140|transplant|0.4|veg_waste|4|3.3 0.45 3|60 45|6 7.5|moderate|small leaf soil cool
pointed_cabbage|Pointed cabbage|spring greens, collards, collard greens, sweetheart cabbage|brassica|leafy|20|60|90|transplant|0.35|veg_waste|4|3 0.4 3|45 40|6 7.5|moderate|small leaf soil cool
kale|Kale|borecole, curly kale, cavolo nero|brassica|leafy|20|60|200|transplant|0.35|veg_waste|2.5|4.8 0.6 4.5|60 45|6 7.5|moderate|small leaf cool
brussels_sprout|Brussels sprout||brassica|upright|26|70|200|transplant|0.5|veg_waste|2|6 0.85 5.5|70 60|6 7.5|moderate|small cool
cauliflower|Cauliflower||brassica|leafy|25|60|110|transplant|0.5|veg_waste|3.5|2.8 0.45 3|60 50|6 7.5|sensitive|small cool
broccoli|Broccoli|calabrese|brassica|leafy|24|60|110|transplant|0.5|veg_waste|2|4.5 0.65 4|60 45|6 7.5|moderate|small cool
sprouting_broccoli|Sprouting broccoli|purple sprouting broccoli|brassica|leafy|24|70|270|transplant|0.5|veg_waste|1.5|5 0.7 4|70 60|6 7.5|moderate|small cool
kohlrabi|Kohlrabi|turnip cabbage|brassica|root|15|45|70|transplant|0.3|veg_waste|4|2.6 0.4 3.5|30 25|6 7.5|moderate|small soil cool
pak_choi|Pak choi|bok choy, bok choi|brassica|leafy|12|35|50|transplant|0.2|veg_waste|4|2.3 0.35 3|30 25|6 7.5|moderate|small leaf soil cool
chinese_cabbage|Chinese cabbage|napa cabbage, Chinese leaves|brassica|leafy|18|45|75|transplant|0.3|veg_waste|6|1.8 0.35 2.5|45 35|6 7.5|moderate|small leaf soil cool
rocket|Rocket|arugula, rucola|salad|leafy|8|30|45|seed|0.15|veg_waste|2|3.8 0.45 3.7|15 5|6 7.5|sensitive|small leaf soil cool
mizuna|Mizuna|mustard greens, mustard leaves|salad|leafy|10|30|45|seed|0.15|veg_waste|2.5|3.5 0.45 4|20 10|6 7.5|moderate|small leaf soil cool
radish|Radish|garden radish|root|root|6|30|35|seed|0.2|veg_waste|2.5|2 0.3 2.6|15 4|6 7|sensitive|medium soil cool
winter_radish|Winter radish|daikon, mooli, black radish|root|root|12|50|75|seed|0.3|veg_waste|5|1.6 0.3 2.6|35 20|6 7|sensitive|medium soil cool
turnip|Turnip|white turnip|root|root|10|50|70|seed|0.35|veg_waste|3.5|1.8 0.35 2.6|30 12|6 7.5|moderate|small soil cool
swede|Swede|rutabaga, Swedish turnip, neep|root|root|15|60|150|seed|0.35|veg_waste|5|1.9 0.4 3|40 25|6 7.5|moderate|small soil cool
horseradish|Horseradish||root|leafy|12|90|365|set|0.4|veg_waste|1.5|4.5 0.6 4|50 40|6 7.5|moderate|medium perennial soil hardy
spinach|Spinach|true spinach|leaf|leafy|12|40|55|seed|0.2|veg_waste|2.5|3.6 0.5 5.5|25 5|6.3 7.5|moderate|medium leaf soil hardy
nz_spinach|New Zealand spinach|tetragonia, warrigal greens|leaf|sprawling|14|50|120|seed|0.3|veg_waste|3|3 0.4 4|70 50|6 7.5|tolerant|large leaf tender
chard|Chard|Swiss chard, leaf beet, silverbeet, perpetual spinach|leaf|leafy|17|60|150|seed|0.25|veg_waste|5|2.5 0.4 4.5|40 25|6 7.5|tolerant|medium leaf soil cool
beetroot|Beetroot|beet, table beet, red beet|root|root|15|60|110|seed|0.4|veg_waste|4|2.4 0.5 4|30 8|6.3 7.5|tolerant|medium soil cool
sugar_beet|Sugar beet|fodder beet, mangold|root|root|20|120|180|seed|0.45|veg_waste|7|1.5 0.35 2|50 20|6.3 7.8|tolerant|medium soil cool
lettuce|Lettuce|head lettuce, butterhead, cos, romaine, iceberg|salad|leafy|10|35|65|transplant|0.2|veg_waste|4|2 0.3 3.2|30 28|6 7.2|sensitive|small leaf soil cool
leaf_lettuce|Leaf lettuce|loose-leaf lettuce, cutting lettuce, salad leaves, oak leaf|salad|leafy|8|30|50|seed|0.15|veg_waste|2.5|2.4 0.3 3.5|20 10|6 7.2|sensitive|small leaf soil cool
endive|Endive|escarole, frisée|salad|leafy|11|40|80|transplant|0.2|veg_waste|4|2.2 0.35 4|35 30|6 7.2|moderate|small leaf soil cool
chicory|Chicory|radicchio, witloof, Belgian endive|salad|leafy|12|70|110|seed|0.3|veg_waste|3|2.6 0.4 4|35 25|6 7.5|moderate|small leaf soil cool
lambs_lettuce|Lamb's lettuce|corn salad, mâche|salad|leafy|6|30|90|seed|0.1|veg_waste|1.2|4.2 0.5 4.5|15 5|6 7.5|sensitive|small leaf soil hardy
purslane|Purslane|summer purslane|salad|sprawling|8|30|55|seed|0.2|veg_waste|2|3.2 0.4 5|20 8|6 7.5|moderate|tiny leaf soil heat
winter_purslane|Winter purslane|miner's lettuce, claytonia|salad|leafy|6|30|80|seed|0.1|veg_waste|1.5|3.5 0.4 4|15 8|6 7.5|sensitive|tiny leaf soil hardy
cress|Garden cress|pepper cress|salad|leafy|5|30|25|seed|0.1|veg_waste|1.2|3.5 0.5 4|10 1|6 7.5|sensitive|small leaf soil cool
watercress|Watercress||salad|leafy|10|30|120|set|0.2|veg_waste|2.5|3.5 0.5 3.3|20 15|6.5 7.5|sensitive|tiny leaf soil cool
celery|Celery|blanching celery, stick celery|leaf|upright|20|40|130|transplant|0.25|veg_waste|6|2.5 0.5 4.5|35 30|6 7.3|moderate|tiny leaf soil cool
celeriac|Celeriac|celery root, knob celery|root|root|18|50|180|transplant|0.35|veg_waste|4|2.6 0.7 4|40 35|6 7.5|moderate|tiny soil cool
fennel|Florence fennel|finocchio, bulb fennel|leaf|upright|15|45|90|transplant|0.35|veg_waste|4|2.2 0.4 4|40 25|6 7.5|moderate|medium soil cool
carrot|Carrot||root|root|12|60|110|seed|0.35|veg_waste|5|1.6 0.35 3.2|25 4|6 7|sensitive|small soil cool
parsnip|Parsnip||root|root|13|80|180|seed|0.35|veg_waste|4|2 0.5 3.8|35 12|6 7.5|sensitive|medium soil cool
root_parsley|Root parsley|Hamburg parsley, parsley root|root|root|12|60|170|seed|0.3|veg_waste|3|2.6 0.6 4|30 8|6 7.3|sensitive|small soil cool
salsify|Salsify|oyster plant, scorzonera, black salsify|root|root|11|80|190|seed|0.3|veg_waste|2.5|2.8 0.7 3.2|30 8|6 7.5|sensitive|large soil cool
potato|Potato|spud, earlies, maincrop|root|bushy|16|50|115|set|0.3|veg_waste|4|2.6 0.5 4.3|70 35|5 6.8|moderate|large soil cool
early_potato|Early potato|new potato, first early|root|bushy|13|45|80|set|0.35|veg_waste|2.5|2.9 0.45 4|60 30|5 6.8|moderate|large soil cool
jerusalem_artichoke|Jerusalem artichoke|sunchoke, topinambur|root|upright|14|80|230|set|0.5|cereal_residue_1N|4|1.7 0.6 4.3|70 40|5.5 7.5|moderate|large soil hardy
globe_artichoke|Globe artichoke|artichoke|leaf|upright|16|90|365|transplant|0.6|veg_waste|1.5|3.5 0.7 4|110 90|6 7.5|moderate|medium perennial cool
cardoon|Cardoon||leaf|upright|17|90|180|transplant|0.4|veg_waste|5|1.8 0.3 4|110 90|6 7.5|moderate|medium soil cool
rhubarb|Rhubarb||leaf|leafy|14|70|365|set|0.5|veg_waste|3|1.6 0.2 4|110 90|5 7|moderate|medium perennial hardy
asparagus|Asparagus||leaf|upright|10|120|365|set|0.5|straw_cereal|0.6|3.8 0.6 2.4|120 40|6.3 7.8|tolerant|medium perennial soil hardy
sorrel|Sorrel|garden sorrel|leaf|leafy|10|60|365|transplant|0.3|veg_waste|2|3.3 0.6 4|30 30|5.5 7|moderate|small leaf perennial hardy
tomato|Tomato|cherry tomato, beefsteak|fruit|climbing|20|80|130|transplant|0.4|veg_waste|7|1.6 0.25 2.6|70 50|6 7|moderate|small heat
pepper|Pepper|sweet pepper, bell pepper, capsicum|fruit|bushy|16|60|130|transplant|0.4|veg_waste|3.5|2 0.28 2.2|50 45|6 7|moderate|small heat
chilli|Chilli|chili, hot pepper, jalapeño|fruit|bushy|14|60|140|transplant|0.4|veg_waste|1.5|3.5 0.45 3.3|50 45|6 7|moderate|small heat
eggplant|Eggplant|aubergine, brinjal|fruit|bushy|17|70|140|transplant|0.4|veg_waste|4|2 0.28 2.3|60 50|5.8 7|moderate|small heat
tomatillo|Tomatillo|husk tomato|fruit|bushy|14|70|110|transplant|0.4|veg_waste|2.5|2 0.4 2.7|80 60|5.8 7|moderate|small heat
physalis|Cape gooseberry|ground cherry, physalis, goldenberry|fruit|bushy|12|70|150|transplant|0.4|veg_waste|1.5|3 0.4 3.2|80 70|5.8 7|moderate|small heat
zucchini|Zucchini|courgette, summer squash, marrow|fruit|sprawling|16|70|100|transplant|0.45|veg_waste|5|1.6 0.3 2.4|100 90|6 7.5|moderate|large heat
pattypan|Pattypan squash|scallop squash, custard marrow|fruit|sprawling|15|70|100|transplant|0.45|veg_waste|4|1.6 0.3 2.4|100 80|6 7.5|moderate|large heat
pumpkin|Pumpkin||fruit|sprawling|15|80|120|transplant|0.45|veg_waste|3.5|1.8 0.45 3.4|150 100|6 7.2|moderate|large soil heat
squash_winter|Winter squash|butternut, hokkaido, acorn squash, kabocha|fruit|sprawling|15|80|120|seed|0.45|veg_waste|3|2.2 0.45 3.5|150 90|6 7.2|moderate|large soil heat
cucumber|Cucumber|slicing cucumber|fruit|climbing|16|60|95|transplant|0.4|veg_waste|6|1.4 0.25 1.8|90 40|6 7.2|moderate|large heat
gherkin|Gherkin|pickling cucumber, cornichon|fruit|sprawling|14|60|85|seed|0.4|veg_waste|3.5|1.6 0.3 2|100 25|6 7.2|moderate|large soil heat
melon|Melon|muskmelon, cantaloupe, honeydew|fruit|sprawling|15|80|110|transplant|0.4|veg_waste|3|1.8 0.25 3|120 60|6 7.5|moderate|large soil heat
watermelon|Watermelon||fruit|sprawling|14|90|110|transplant|0.4|veg_waste|5|1.2 0.15 1.6|180 90|5.5 7.2|moderate|large soil heat
bitter_melon|Bitter gourd|bitter melon, karela|fruit|climbing|13|70|110|transplant|0.4|veg_waste|3|1.8 0.35 3|120 60|6 7|moderate|large heat
bottle_gourd|Bottle gourd|calabash, lauki|fruit|climbing|14|80|120|transplant|0.4|veg_waste|4|1.2 0.2 1.8|150 90|6 7.2|moderate|large heat
luffa|Luffa|loofah, sponge gourd, ridge gourd|fruit|climbing|13|80|150|transplant|0.45|veg_waste|3|1.8 0.35 2.5|150 60|6 7.2|moderate|large heat
chayote|Chayote|christophene, choko, mirliton|fruit|climbing|14|80|365|set|0.5|veg_waste|4|1.4 0.2 1.4|250 200|5.5 6.8|moderate|large perennial heat
okra|Okra|lady's finger, bhindi|fruit|upright|15|80|120|seed|0.5|cereal_residue_1N|1.8|3.6 0.6 3|60 30|6 7.5|moderate|large heat
sweetcorn|Sweetcorn|sweet corn, corn on the cob|fruit|grassy|18|80|110|seed|0.55|cereal_residue_1N|1.8|4.2 0.9 2.7|70 20|5.8 7.2|moderate|large tender
pea|Pea|garden pea, shelling pea, mange-tout, sugar snap, snow pea|legume|climbing|14|60|95|seed|0.5|clover_cover|0.9|8 1.1 2.8|50 5|6 7.5|sensitive|large legume hardy
french_bean|French bean|bush bean, snap bean, green bean, dwarf bean, string bean|legume|bushy|12|50|85|seed|0.5|clover_cover|1.8|3 0.4 2.4|45 8|6 7.5|sensitive|large legume tender
pole_bean|Climbing bean|pole bean|legume|climbing|14|60|110|seed|0.5|clover_cover|2.5|2.8 0.4 2.4|80 20|6 7.5|sensitive|large legume tender
runner_bean|Runner bean|scarlet runner|legume|climbing|15|70|120|seed|0.5|clover_cover|2.8|2.6 0.4 2.6|90 25|6 7.5|sensitive|large legume tender
dry_bean|Dry bean|kidney bean, haricot, borlotti, black bean, pinto|legume|bushy|14|60|110|seed|0.4|clover_cover|0.25|36 4.5 15|45 8|6 7.5|sensitive|large legume tender
broad_bean|Broad bean|fava bean, faba bean, field bean|legume|upright|18|70|120|seed|0.5|clover_cover|1.2|8.5 1.2 3.2|50 18|6 7.8|moderate|large legume hardy
lima_bean|Lima bean|butter bean|legume|climbing|14|70|120|seed|0.5|clover_cover|0.6|11 1.3 4.7|75 20|6 7|sensitive|large legume heat
soybean|Soybean|soya bean, edamame|legume|bushy|18|80|120|seed|0.35|clover_cover|0.22|60 6 18|45 6|6 7.2|moderate|large legume tender
cowpea|Cowpea|black-eyed pea, southern pea, yardlong bean|legume|bushy|14|80|90|seed|0.5|clover_cover|0.2|38 4.2 11|60 12|5.5 7|moderate|large legume heat
chickpea|Chickpea|garbanzo|legume|bushy|12|90|120|seed|0.4|clover_cover|0.18|33 3.7 9|40 10|6 8|sensitive|large legume cool
lentil|Lentil||legume|bushy|10|60|100|seed|0.4|clover_cover|0.13|40 4.5 9.5|25 4|6 8|sensitive|medium legume cool
peanut|Peanut|groundnut, monkey nut|legume|sprawling|16|80|140|seed|0.4|clover_cover|0.25|40 3.8 7|60 20|5.8 6.8|sensitive|large legume soil heat
pigeon_pea|Pigeon pea|gungo pea, tur|legume|shrub|16|120|200|seed|0.5|clover_cover|0.2|34 4 14|90 40|5 7.5|moderate|large legume heat
mung_bean|Mung bean|green gram|legume|bushy|12|60|75|seed|0.45|clover_cover|0.12|38 3.7 12|40 8|6 7.5|sensitive|medium legume heat
winged_bean|Winged bean||legume|climbing|15|80|180|seed|0.5|clover_cover|1.5|5 0.6 3|100 40|5.5 7|sensitive|large legume heat
wheat|Wheat|bread wheat, spelt|grain|grassy|16|120|270|seed|0.3|straw_cereal|0.6|19 3.5 4.2|13 3|6 7.5|moderate|large hardy
barley|Barley||grain|grassy|13|100|130|seed|0.3|straw_cereal|0.5|17 3.4 4.8|13 3|6 7.8|tolerant|large hardy
oat|Oat|oats|grain|grassy|13|100|130|seed|0.35|straw_cereal|0.45|17 3.4 4.4|13 3|5.5 7.5|moderate|large hardy
maize|Maize|grain corn, field corn, popcorn|grain|grassy|20|120|150|seed|0.4|cereal_residue_1N|0.8|14 2.8 3.5|70 20|5.8 7.2|moderate|large tender
sorghum|Sorghum|milo|grain|grassy|15|120|120|seed|0.45|cereal_residue_1N|0.45|17 3 3.8|60 12|5.5 8|moderate|medium heat
millet|Millet|pearl millet, proso|grain|grassy|11|90|90|seed|0.45|cereal_residue_1N|0.3|18 3 4|30 8|5.5 7.5|moderate|small heat
rice|Rice||grain|grassy|13|50|140|transplant|0.4|straw_cereal|0.5|13 2.6 2.8|25 20|5 7|sensitive|medium heat
buckwheat|Buckwheat||grain|leafy|8|60|90|seed|0.5|straw_cereal|0.15|20 3.4 4.6|20 4|5 7|sensitive|medium tender
quinoa|Quinoa||grain|upright|14|90|130|seed|0.45|cereal_residue_1N|0.2|24 4 9|45 10|6 8|tolerant|tiny cool
amaranth|Amaranth|callaloo, Chinese spinach|leaf|upright|14|70|60|seed|0.3|veg_waste|3|3.2 0.5 4.5|30 10|5.5 7.5|moderate|tiny leaf heat
sunflower|Sunflower||grain|upright|12|100|110|seed|0.5|cereal_residue_1N|0.25|24 4.5 8|60 30|6 7.5|moderate|large tender
sesame|Sesame|benne|grain|upright|10|90|110|seed|0.5|cereal_residue_1N|0.1|30 6 5|45 10|5.5 8|moderate|small heat
flax|Flax|linseed|grain|upright|10|70|110|seed|0.4|straw_cereal|0.18|33 5.5 8|15 2|5.5 7|sensitive|small cool
cotton|Cotton||grain|bushy|15|100|160|seed|0.5|cereal_residue_1N|0.25|26 4 9|90 30|5.8 8|tolerant|large heat
tobacco|Tobacco||grain|leafy|13|80|120|transplant|0.4|veg_waste|0.25|28 2.5 35|100 50|5.5 6.5|moderate|tiny heat
hop|Hop|hops|grain|climbing|16|120|365|set|0.5|veg_waste|0.2|30 4.5 22|250 100|6 7.5|moderate|small perennial hardy
basil|Basil|sweet basil, Thai basil|herb|bushy|9|35|90|transplant|0.25|veg_waste|1.8|3.5 0.5 4|30 25|6 7.5|moderate|small leaf heat
parsley|Parsley|flat-leaf parsley, curly parsley|herb|leafy|12|45|150|seed|0.2|veg_waste|2.5|3.6 0.5 5|25 8|6 7.5|sensitive|small leaf soil cool
coriander|Coriander|cilantro, Chinese parsley|herb|leafy|8|40|60|seed|0.2|veg_waste|1.8|3.4 0.5 5|20 5|6 7.5|sensitive|medium leaf soil cool
dill|Dill||herb|upright|9|40|70|seed|0.25|veg_waste|2|3.4 0.6 6|25 8|6 7.5|sensitive|small leaf cool
chervil|Chervil||herb|leafy|7|30|55|seed|0.2|veg_waste|1.5|3.5 0.5 5|20 8|6 7.5|sensitive|small leaf soil cool
mint|Mint|spearmint, peppermint|herb|leafy|12|45|365|set|0.3|veg_waste|2|4 0.6 5|40 30|6 7.5|moderate|tiny leaf perennial hardy
lemon_balm|Lemon balm|melissa|herb|leafy|11|45|365|transplant|0.3|veg_waste|1.8|4 0.6 5|40 30|6 7.5|moderate|tiny leaf perennial hardy
sage|Sage||herb|shrub|6|50|365|transplant|0.3|leaves_mixed|0.8|4.5 0.6 4|50 40|6 7.8|moderate|small leaf perennial woody hardy
rosemary|Rosemary||herb|shrub|5|60|365|transplant|0.3|leaves_mixed|0.8|3.5 0.4 3.5|80 60|6 8|tolerant|tiny leaf perennial woody hardy
thyme|Thyme||herb|sprawling|5|40|365|transplant|0.3|leaves_mixed|0.6|4.5 0.5 4|30 25|6 8|moderate|tiny leaf perennial woody hardy
oregano|Oregano|marjoram, sweet marjoram|herb|bushy|6|40|365|transplant|0.3|veg_waste|0.9|4 0.5 4.5|35 30|6 8|moderate|tiny leaf perennial hardy
savory|Savory|summer savory, winter savory|herb|bushy|6|40|100|seed|0.3|veg_waste|1|3.5 0.5 4|25 15|6 8|moderate|tiny leaf cool
tarragon|Tarragon|French tarragon|herb|upright|8|45|365|set|0.3|veg_waste|1|4 0.6 5|40 35|6 7.5|moderate|small leaf perennial hardy
lovage|Lovage||herb|upright|12|80|365|transplant|0.4|veg_waste|2|3.8 0.5 5|80 60|6 7.5|moderate|medium leaf perennial hardy
lavender|Lavender||herb|shrub|5|70|365|transplant|0.3|leaves_mixed|0.4|4 0.6 5|80 50|6 8|moderate|tiny perennial woody hardy
lemongrass|Lemongrass|citronella|herb|grassy|14|60|365|set|0.4|cereal_residue_1N|3|1.8 0.3 3|80 60|5.5 7.5|moderate|small leaf perennial heat
ginger|Ginger||herb|upright|14|45|270|set|0.3|veg_waste|3|2.4 0.4 4.2|40 25|5.5 6.8|sensitive|large soil heat
turmeric|Turmeric||herb|upright|14|45|270|set|0.3|veg_waste|3|2.2 0.5 5|45 30|5.5 7|sensitive|large soil heat
chamomile|Chamomile|camomile|herb|bushy|6|30|90|seed|0.4|veg_waste|0.5|5 0.8 6|25 10|5.5 7.5|moderate|tiny hardy
calendula|Pot marigold|calendula|ornamental|bushy|7|40|120|seed|0.6|veg_waste|0.4|4 0.6 5|30 20|5.5 7.5|moderate|medium cool
borage|Borage|starflower|herb|bushy|10|60|100|seed|0.6|veg_waste|0.6|4.5 0.6 5|40 30|5.5 7.5|moderate|medium leaf cool
saffron|Saffron|saffron crocus|herb|upright|6|35|365|set|0.6|veg_waste|0.001|20 3 15|20 10|6 8|moderate|large perennial hardy
sweet_potato|Sweet potato|kumara, camote, yam in the US|staple|sprawling|14|80|130|set|0.4|veg_waste|3.5|2.3 0.45 3.8|90 30|5.2 6.8|moderate|large soil heat
yam|Yam|true yam, dioscorea|staple|climbing|14|80|240|set|0.35|veg_waste|3|2.8 0.4 4.5|100 70|5.5 6.8|sensitive|large soil heat
cassava|Cassava|manioc, yuca, tapioca|staple|shrub|15|90|330|set|0.45|leaves_mixed|3|2.1 0.35 2.8|100 90|4.8 7|sensitive|large soil heat
taro|Taro|dasheen, eddo, cocoyam|staple|leafy|18|60|240|set|0.4|veg_waste|3|2.6 0.6 4.8|80 60|5.5 7|sensitive|large soil heat
plantain|Plantain|cooking banana|staple|tree|25|70|365|set|0.6|veg_waste|3|1.8 0.3 4.8|300 250|5.5 7|sensitive|large perennial heat
banana|Banana||fruitTree|tree|28|70|365|set|0.6|veg_waste|4|1.7 0.22 4|250 250|5.5 7|sensitive|large perennial heat
arrowroot|Arrowroot|achira, canna|staple|leafy|13|50|300|set|0.4|veg_waste|2.5|2.2 0.4 4|70 50|5.5 7|sensitive|large soil heat
yacon|Yacon||staple|upright|14|60|200|set|0.45|veg_waste|3|1.4 0.3 2.5|90 70|5.5 7|sensitive|large soil tender
oca|Oca|New Zealand yam|staple|bushy|11|40|220|set|0.3|veg_waste|2.5|2 0.4 3|45 40|5.5 7|sensitive|large soil cool
sugarcane|Sugarcane|sugar cane|staple|grassy|18|120|365|set|0.4|cereal_residue_1N|9|0.8 0.2 1.3|130 50|5 8|moderate|large perennial heat
pineapple|Pineapple||staple|leafy|13|50|365|set|0.5|veg_waste|3|1 0.12 2|60 30|4.5 6|moderate|large perennial heat
papaya|Papaya|pawpaw|fruitTree|tree|18|80|365|transplant|0.5|veg_waste|4|1.3 0.2 2.3|250 200|5.5 7|moderate|medium perennial heat
passion_fruit|Passion fruit|maracuja, granadilla|vine|climbing|12|70|365|transplant|0.5|leaves_mixed|1.5|2.8 0.5 3.5|300 250|5.5 7|sensitive|medium perennial woody heat
strawberry|Strawberry||berry|leafy|8|40|365|transplant|0.5|veg_waste|1.5|1.3 0.25 1.6|70 30|5.5 6.8|sensitive|tiny perennial soil hardy
raspberry|Raspberry||berry|shrub|8|70|365|transplant|0.4|leaves_mixed|1|2.2 0.35 1.7|180 45|5.5 6.8|sensitive|small perennial woody hardy
blackberry|Blackberry|bramble, boysenberry, loganberry, tayberry|berry|shrub|9|80|365|transplant|0.5|leaves_mixed|1.2|2.2 0.3 1.8|220 150|5.5 7|sensitive|small perennial woody hardy
currant|Currant|blackcurrant, redcurrant, white currant|berry|shrub|8|80|365|transplant|0.5|leaves_mixed|1|2.2 0.5 3.1|180 130|5.5 7|sensitive|small perennial woody hardy
gooseberry|Gooseberry||berry|shrub|8|60|365|transplant|0.5|leaves_mixed|1.2|1.5 0.35 2.1|170 120|5.5 7|sensitive|small perennial woody hardy
blueberry|Blueberry|highbush blueberry, bilberry|berry|shrub|5|50|365|transplant|0.5|leaves_mixed|0.8|1.2 0.15 0.8|200 120|4 5.3|sensitive|tiny perennial woody hardy
cranberry|Cranberry|lingonberry|berry|sprawling|5|30|365|transplant|0.5|leaves_mixed|1.5|0.7 0.1 0.8|40 30|4 5.3|sensitive|tiny perennial woody hardy
elderberry|Elder|elderberry, elderflower|berry|shrub|9|90|365|transplant|0.5|leaves_mixed|0.9|1.2 0.4 2.8|250 200|5.5 7.5|moderate|small perennial woody hardy
sea_buckthorn|Sea buckthorn||berry|shrub|6|90|365|transplant|0.5|leaves_mixed|0.7|2.2 0.3 1.7|300 200|6 8|tolerant|medium legume perennial woody hardy
aronia|Chokeberry|aronia|berry|shrub|6|70|365|transplant|0.5|leaves_mixed|0.8|1.2 0.3 2.2|200 120|5 7.5|moderate|small perennial woody hardy
honeyberry|Honeyberry|haskap|berry|shrub|6|60|365|transplant|0.5|leaves_mixed|0.6|1.5 0.3 1.8|200 120|5 7.5|moderate|small perennial woody hardy
goji|Goji berry|wolfberry|berry|shrub|8|80|365|transplant|0.5|leaves_mixed|0.6|3 0.5 4|200 100|6.5 8|tolerant|tiny perennial woody hardy
mulberry|Mulberry||fruitTree|tree|9|150|365|transplant|0.6|leaves_mixed|0.8|2.3 0.4 2|500 500|5.5 7.5|moderate|tiny perennial woody hardy
apple|Apple||fruitTree|tree|8|120|365|transplant|0.5|leaves_mixed|2.5|0.5 0.1 1.2|350 150|5.5 7|sensitive|medium perennial woody hardy
pear|Pear||fruitTree|tree|8|120|365|transplant|0.5|leaves_mixed|2.2|0.6 0.1 1.2|350 200|5.5 7.2|sensitive|medium perennial woody hardy
quince|Quince||fruitTree|tree|7|120|365|transplant|0.5|leaves_mixed|1.5|0.7 0.2 2|400 350|5.5 7|sensitive|medium perennial woody hardy
medlar|Medlar||fruitTree|tree|6|120|365|transplant|0.5|leaves_mixed|1|0.8 0.3 2.5|400 350|5.5 7.5|sensitive|medium perennial woody hardy
plum|Plum|damson, greengage, prune, mirabelle|fruitTree|tree|9|120|365|transplant|0.5|leaves_mixed|1.8|1.1 0.18 2|400 300|5.5 7.2|sensitive|large perennial woody hardy
cherry|Cherry|sweet cherry, sour cherry|fruitTree|tree|9|120|365|transplant|0.5|leaves_mixed|1.2|1.7 0.25 2.2|500 350|6 7.5|sensitive|medium perennial woody hardy
peach|Peach|nectarine|fruitTree|tree|11|110|365|transplant|0.5|leaves_mixed|2|1.4 0.2 2|450 300|6 7|sensitive|large perennial woody hardy
apricot|Apricot||fruitTree|tree|10|110|365|transplant|0.5|leaves_mixed|1.5|1.9 0.25 2.7|450 350|6 7.5|sensitive|large perennial woody hardy
fig|Fig||fruitTree|tree|8|120|365|transplant|0.5|leaves_mixed|1.2|1.4 0.2 2.3|400 350|6 8|tolerant|tiny perennial woody tender
persimmon|Persimmon|kaki, sharon fruit|fruitTree|tree|9|120|365|transplant|0.5|leaves_mixed|1.8|1 0.18 1.7|450 400|5.5 7|sensitive|large perennial woody tender
pomegranate|Pomegranate||fruitTree|shrub|9|100|365|transplant|0.5|leaves_mixed|1.5|2.2 0.35 2.5|400 300|5.5 8|moderate|medium perennial woody tender
olive|Olive||fruitTree|tree|8|130|365|transplant|0.5|leaves_mixed|0.7|4 0.6 6|600 500|6 8.5|tolerant|large perennial woody tender
date_palm|Date palm||fruitTree|tree|10|150|365|transplant|0.4|leaves_mixed|0.8|3.5 0.6 7|800 800|6.5 8.5|tolerant|large perennial woody heat
mango|Mango||fruitTree|tree|10|150|365|transplant|0.5|leaves_mixed|1.2|1.3 0.15 1.8|800 700|5.5 7.5|sensitive|large perennial woody heat
avocado|Avocado||fruitTree|tree|12|90|365|transplant|0.5|leaves_mixed|1.2|2.8 0.5 4.8|700 600|5.5 7|sensitive|large perennial woody heat
guava|Guava||fruitTree|tree|11|100|365|transplant|0.5|leaves_mixed|2|1.7 0.3 2.5|500 400|5 7|moderate|small perennial woody heat
lychee|Lychee|litchi, longan|fruitTree|tree|10|120|365|transplant|0.5|leaves_mixed|1|1.6 0.3 2|800 700|5 6.5|sensitive|large perennial woody heat
jackfruit|Jackfruit|breadfruit|fruitTree|tree|13|130|365|transplant|0.5|leaves_mixed|3|1.5 0.3 3.5|900 900|5.5 7|sensitive|large perennial woody heat
loquat|Loquat||fruitTree|tree|9|110|365|transplant|0.5|leaves_mixed|1.5|0.9 0.25 2.4|500 400|5.5 7.5|moderate|large perennial woody tender
cacao|Cacao|cocoa|fruitTree|tree|12|100|365|transplant|0.6|leaves_mixed|0.15|35 5 40|300 300|5.5 7|sensitive|large perennial woody heat
coffee|Coffee||fruitTree|shrub|14|90|365|transplant|0.6|leaves_mixed|0.9|5 0.5 7|250 150|5 6.3|sensitive|large perennial woody heat
tea|Tea|camellia sinensis|fruitTree|shrub|16|100|365|transplant|0.5|leaves_mixed|0.7|10 1 5|120 60|4.5 6|sensitive|large leaf perennial woody heat
coconut|Coconut|coconut palm|fruitTree|tree|12|120|365|transplant|0.5|leaves_mixed|1|5 0.8 8|800 800|5.5 8|tolerant|large perennial woody heat
orange|Orange|sweet orange, blood orange|citrus|tree|14|100|365|transplant|0.4|leaves_mixed|3|1.6 0.2 2|500 400|5.5 7|sensitive|medium perennial woody tender
lemon|Lemon|Meyer lemon|citrus|tree|14|100|365|transplant|0.4|leaves_mixed|3|1.6 0.2 1.9|450 350|5.5 7|sensitive|medium perennial woody tender
lime|Lime|key lime, makrut lime|citrus|tree|13|90|365|transplant|0.4|leaves_mixed|2.5|1.6 0.2 1.7|450 350|5.5 7|sensitive|medium perennial woody heat
mandarin|Mandarin|tangerine, clementine, satsuma|citrus|tree|13|90|365|transplant|0.4|leaves_mixed|2.5|1.5 0.2 1.8|450 350|5.5 7|sensitive|medium perennial woody tender
grapefruit|Grapefruit|pomelo|citrus|tree|14|100|365|transplant|0.4|leaves_mixed|3.5|1.1 0.18 1.9|550 450|5.5 7|sensitive|medium perennial woody tender
kumquat|Kumquat||citrus|shrub|11|70|365|transplant|0.4|leaves_mixed|1.5|2 0.25 2|300 250|5.5 7|sensitive|medium perennial woody tender
grape|Grape|grapevine, vine, table grape|vine|climbing|7|130|365|transplant|0.5|leaves_mixed|1.2|1.7 0.3 2.8|200 120|5.5 7.5|moderate|medium perennial woody hardy
kiwi|Kiwi|kiwifruit, actinidia|vine|climbing|13|90|365|transplant|0.5|leaves_mixed|2|1.6 0.3 3.1|450 400|5.5 7|sensitive|tiny perennial woody tender
hazel|Hazel|hazelnut, cobnut, filbert|nutTree|shrub|7|120|365|transplant|0.6|leaves_mixed|0.15|22 3 6.5|450 350|6 7.5|moderate|large perennial woody hardy
walnut|Walnut||nutTree|tree|9|150|365|transplant|0.6|leaves_mixed|0.23|18 3 4|1000 800|6 7.5|sensitive|large perennial woody hardy
almond|Almond||nutTree|tree|10|130|365|transplant|0.5|leaves_mixed|0.18|32 4 12|600 500|6 8|sensitive|large perennial woody hardy
chestnut|Chestnut|sweet chestnut|nutTree|tree|8|150|365|transplant|0.6|leaves_mixed|0.3|7 1 5|900 800|5 6.5|sensitive|large perennial woody hardy
pecan|Pecan||nutTree|tree|10|150|365|transplant|0.6|leaves_mixed|0.15|16 2.8 4.2|1200 1000|6 7|sensitive|large perennial woody hardy
pistachio|Pistachio||nutTree|tree|9|150|365|transplant|0.5|leaves_mixed|0.15|30 4.5 10|600 500|6.5 8|tolerant|large perennial woody hardy
macadamia|Macadamia||nutTree|tree|9|110|365|transplant|0.5|leaves_mixed|0.3|13 1.5 4|800 500|5 6.5|sensitive|large perennial woody heat
cashew|Cashew||nutTree|tree|8|150|365|transplant|0.5|leaves_mixed|0.1|28 5 6.5|900 800|5 7|moderate|large perennial woody heat
perennial_border|Perennial border|herbaceous border, flower bed, mixed border|ornamental|bushy|8|60|365|transplant|0.6|veg_waste|0.3|4 0.6 5|50 40|5.5 7.5|moderate|medium perennial hardy
annual_flowers|Annual flowers|bedding plants, summer bedding, cut flowers|ornamental|bushy|10|45|140|transplant|0.7|veg_waste|0.5|4 0.6 5|30 25|5.5 7.5|moderate|small tender
rose|Rose||ornamental|shrub|10|80|365|transplant|0.5|leaves_mixed|0.5|4.5 0.7 5|80 60|5.8 7.2|sensitive|medium perennial woody hardy
dahlia|Dahlia||ornamental|bushy|12|50|150|set|0.6|veg_waste|0.6|3.5 0.5 5|70 50|6 7.5|sensitive|large tender
hydrangea|Hydrangea||ornamental|shrub|8|60|365|transplant|0.5|leaves_mixed|0.2|4 0.6 4|150 120|4.5 7|sensitive|tiny perennial woody hardy
rhododendron|Rhododendron|azalea, camellia, heather|ornamental|shrub|6|45|365|transplant|0.5|leaves_oak_conifer|0.1|4 0.5 4|150 120|4.2 5.8|sensitive|tiny perennial woody hardy
shrub_border|Shrub border|ornamental shrubs|ornamental|shrub|6|80|365|transplant|0.6|leaves_mixed|0.3|4 0.5 4|120 100|5.5 7.5|moderate|small perennial woody hardy
hedge|Hedge|privet, beech hedge, hornbeam, box, yew|ornamental|shrub|9|80|365|transplant|0.4|prunings_green|1.2|4.5 0.6 4|60 40|5.5 7.8|moderate|medium perennial woody hardy
ornamental_grass|Ornamental grasses|miscanthus, switchgrass|ornamental|grassy|7|90|365|transplant|0.6|straw_cereal|0.8|4 0.5 5|80 60|5.5 7.5|moderate|small perennial hardy
bulbs|Spring bulbs|tulip, daffodil, narcissus, crocus, hyacinth|ornamental|upright|6|35|240|set|0.8|veg_waste|0.1|6 1 7|15 10|6 7.5|moderate|large hardy
peony|Peony||ornamental|bushy|9|60|365|set|0.6|veg_waste|0.3|4 0.6 4|100 90|6 7.5|moderate|large perennial hardy
fern_shade|Shade planting|hosta, ferns, woodland plants|ornamental|leafy|7|45|365|transplant|0.7|leaves_mixed|0.1|4 0.5 5|50 40|5 7|sensitive|tiny perennial hardy
succulents|Succulents and dry planting|sedum, cacti, agave, xeriscape|ornamental|leafy|5|40|365|transplant|0.6|veg_waste|0.1|2 0.3 3|40 30|6 8|tolerant|tiny perennial tender
young_tree|Young ornamental tree|shade tree, street tree|ornamental|tree|6|120|365|transplant|0.6|leaves_mixed|0.2|4 0.5 4|500 500|5.5 7.5|moderate|medium perennial woody hardy
conifer|Conifers|spruce, pine, juniper, Christmas tree|ornamental|tree|5|90|365|transplant|0.4|leaves_oak_conifer|0.4|3.5 0.4 2|150 120|4.8 7|sensitive|medium perennial woody hardy
bamboo|Bamboo||ornamental|grassy|14|70|365|set|0.6|cereal_residue_1N|1|3 0.4 4|150 120|5 7|sensitive|large perennial hardy
lawn|Lawn|turf, grass|ornamental|grassy|14|40|365|seed|0.5|grass_clippings|1.3|6 0.8 6|1 1|5.5 7.2|moderate|small perennial hardy
clover|Clover, green manure|crimson clover, red clover|greenManure|leafy|12|60|200|seed|1|clover_cover|0|0 0 0|15 1|6 7.5|sensitive|tiny legume cover hardy
vetch_rye|Vetch and rye, green manure|winter vetch, hairy vetch mix|greenManure|grassy|12|80|210|seed|1|rye_young|0|0 0 0|15 3|5.5 7.5|moderate|medium cover hardy
phacelia|Phacelia, green manure|tansy phacelia|greenManure|leafy|8|60|80|seed|1|veg_waste|0|0 0 0|15 2|6 7.5|moderate|tiny cover cool
white_clover|White clover|Dutch clover|greenManure|leafy|10|40|365|seed|1|clover_cover|0|0 0 0|15 1|5.8 7.5|sensitive|tiny legume perennial cover mulch hardy
trefoil|Black medick|yellow trefoil|greenManure|leafy|8|40|150|seed|1|clover_cover|0|0 0 0|15 1|6 8|moderate|tiny legume cover mulch cool
rye|Rye, green manure|winter rye, cereal rye|greenManure|grassy|10|90|200|seed|1|rye_young|0|0 0 0|15 3|5 7.5|moderate|medium cover hardy
lupin|Blue lupin, green manure|bitter lupin|greenManure|upright|14|90|120|seed|1|clover_cover|0|0 0 0|20 8|4.8 6.8|sensitive|large legume cover hardy
mustard|Mustard, green manure|white mustard|greenManure|leafy|10|60|60|seed|1|veg_waste|0|0 0 0|15 2|5.5 7.5|moderate|small cover cool
fodder_radish|Fodder radish, green manure|oilseed radish, tillage radish|greenManure|leafy|12|90|80|seed|1|veg_waste|0|0 0 0|15 4|5.5 7.5|moderate|medium cover cool
vetch|Hairy vetch, green manure|vetch, winter tares, common vetch|greenManure|sprawling|16|70|200|seed|1|clover_cover|0|0 0 0|15 4|5.5 7.5|moderate|medium legume cover hardy
field_bean_cover|Field bean, green manure|winter field bean, bell bean|greenManure|upright|16|80|200|seed|1|clover_cover|0|0 0 0|20 8|6 7.8|moderate|large legume cover hardy
field_pea_cover|Field pea, green manure|Austrian winter pea|greenManure|climbing|14|60|150|seed|1|clover_cover|0|0 0 0|15 5|5.8 7.5|sensitive|large legume cover hardy
oats_peas|Oats and peas, green manure|oats and vetch|greenManure|grassy|12|70|90|seed|1|rye_young|0|0 0 0|15 3|5.5 7.5|moderate|large cover hardy
buckwheat_cover|Buckwheat, green manure||greenManure|leafy|7|50|50|seed|1|veg_waste|0|0 0 0|15 3|5 7|sensitive|medium cover tender
ryegrass_cover|Ryegrass, green manure|annual ryegrass, Italian ryegrass|greenManure|grassy|11|70|200|seed|1|rye_young|0|0 0 0|15 1|5.5 7.5|moderate|small cover hardy
sorghum_sudan|Sorghum-sudangrass, green manure|sudangrass|greenManure|grassy|14|100|70|seed|1|rye_young|0|0 0 0|20 4|5.5 8|moderate|medium cover heat
sunn_hemp|Sunn hemp, green manure|crotalaria|greenManure|upright|16|90|70|seed|1|clover_cover|0|0 0 0|20 4|5 7.5|sensitive|medium legume cover heat
cowpea_cover|Cowpea, green manure||greenManure|sprawling|14|80|75|seed|1|clover_cover|0|0 0 0|20 8|5.5 7|moderate|large legume cover heat
alfalfa|Alfalfa, green manure|lucerne|greenManure|upright|20|150|365|seed|1|clover_cover|0|0 0 0|15 1|6.5 8|moderate|small legume perennial cover hardy
marigold_cover|French marigold, green manure|tagetes|greenManure|bushy|8|50|90|seed|1|veg_waste|0|0 0 0|20 10|5.5 7.5|moderate|medium cover tender
comfrey|Comfrey|Russian comfrey|greenManure|leafy|18|120|365|set|1|veg_waste|0|0 0 0|80 60|5.5 7.5|moderate|large perennial cover hardy
mixed_cover|Green manure mix|cover crop mix, landsberg mix|greenManure|leafy|12|70|120|seed|1|clover_cover|0|0 0 0|15 2|5.5 7.5|moderate|small cover cool
mixed_vegetables|Mixed vegetables|kitchen garden, salad and vegetables, unknown crop|leaf|leafy|14|50|120|transplant|0.3|veg_waste|3|2.6 0.4 3.2|30 25|6 7.2|moderate|small leaf soil cool
`;

import { describe, expect, it } from 'vitest';
import { CROP_LIBRARY, MATERIAL_LIBRARY } from '../core/ground/index.ts';
import { searchNames } from './name-search.ts';

/** Everyday words for crops, in the English of either side of the ocean, and the crop that is meant. */
const WORDS = `
lettuce:lettuce carrot:carrot carrots:carrot zucchini:zucchini courgette:zucchini courgettes:zucchini marrow:zucchini
eggplant:eggplant aubergine:eggplant cauliflower:cauliflower chard:chard silverbeet:chard radish:radish radishes:radish
sweet_potato:sweet_potato kumara:sweet_potato basil:basil parsley:parsley orange:orange lemon:lemon apple:apple apples:apple
arugula:rocket rocket:rocket scallion:spring_onion green_onion:spring_onion rutabaga:swede swede:swede beet:beetroot
beets:beetroot beetroot:beetroot cilantro:coriander coriander:coriander fava_bean:broad_bean broad_beans:broad_bean
green_bean:french_bean string_bean:french_bean runner_bean:runner_bean kidney_bean:dry_bean garbanzo:chickpea peanut:peanut
groundnut:peanut corn:sweetcorn sweetcorn:sweetcorn popcorn:maize capsicum:pepper bell_pepper:pepper peppers:pepper
chili:chilli jalapeno:chilli tomato:tomato tomatoes:tomato potato:potato potatoes:potato new_potato:early_potato
spinach:spinach kale:kale collards:pointed_cabbage bok_choy:pak_choi pak_choi:pak_choi napa_cabbage:chinese_cabbage
daikon:winter_radish mooli:winter_radish turnip:turnip parsnip:parsnip celery:celery celeriac:celeriac fennel:fennel
leek:leek leeks:leek onion:onion onions:onion garlic:garlic shallots:shallot chives:chives asparagus:asparagus
rhubarb:rhubarb artichoke:globe_artichoke sunchoke:jerusalem_artichoke cucumber:cucumber pickling_cucumber:gherkin
pumpkin:pumpkin butternut:squash_winter cantaloupe:melon melon:melon watermelon:watermelon okra:okra bhindi:okra
pea:pea peas:pea sugar_snap:pea edamame:soybean soya_bean:soybean lentils:lentil black-eyed_pea:cowpea wheat:wheat
barley:barley oats:oat rice:rice quinoa:quinoa buckwheat:buckwheat sunflower:sunflower strawberries:strawberry
raspberry:raspberry blackberries:blackberry blackcurrant:currant gooseberry:gooseberry blueberry:blueberry
cranberry:cranberry elderflower:elderberry apricot:apricot peach:peach nectarine:peach pear:pear plums:plum cherry:cherry
fig:fig grapes:grape kiwi:kiwi olive:olive mango:mango avocado:avocado banana:banana papaya:papaya pineapple:pineapple
mandarin:mandarin clementine:mandarin grapefruit:grapefruit lime:lime walnut:walnut almond:almond hazelnut:hazel
chestnut:chestnut pecan:pecan rose:rose roses:rose dahlia:dahlia lavender:lavender rosemary:rosemary thyme:thyme
sage:sage mint:mint oregano:oregano dill:dill tulip:bulbs daffodils:bulbs hosta:fern_shade peony:peony hydrangea:hydrangea
azalea:rhododendron hedge:hedge privet:hedge lawn:lawn turf:lawn cassava:cassava yuca:cassava taro:taro plantain:plantain
yam:yam ginger:ginger turmeric:turmeric lemongrass:lemongrass sugar_cane:sugarcane coffee:coffee tea:tea cocoa:cacao
clover:clover vetch:vetch rye:rye mustard:mustard lucerne:alfalfa alfalfa:alfalfa comfrey:comfrey phacelia:phacelia
bamboo:bamboo christmas_tree:conifer flower_bed:perennial_border bedding_plants:annual_flowers cover_crop_mix:mixed_cover
kitchen_garden:mixed_vegetables
`;
const CASES = WORDS.trim()
  .split(/\s+/)
  .map((pair) => pair.split(':') as [string, string])
  .map(([word, id]) => [word.replaceAll('_', ' '), id] as const);

/** The same for what lies on beds and in heaps. */
const STUFF = `
straw:straw_cereal hay:hay_grass wood_chips:chips_mixed sawdust:sawdust_hardwood bark:bark_softwood leaves:leaves_mixed
pine_needles:pine_needles grass_clippings:grass_clippings kitchen_scraps:veg_waste food_waste:veg_waste seaweed:seaweed_kelp
kelp:seaweed_kelp nettles:nettles bracken:bracken_green hemp:hemp_hurd coir:coir peat:peat_moss spent_grain:brewers_grain
tea_bags:tea_leaves coffee_grounds:coffee_grounds eggshells:eggshells hair:hair wool:wool bone_meal:bone_meal
blood_meal:blood_meal horse_manure:horse_bedding cow_manure:dairy_fresh chicken_manure:layer_manure pig_manure:pig_manure
rabbit_manure:rabbit_manure guano:bat_guano liquid_digestate:digestate_liquid compost:compost_garden worm_castings:worm_castings
cardboard:cardboard newspaper:paper_sheets biochar:biochar_raw wood_ash:wood_ash lime:garden_lime gypsum:gypsum urine:urine
rock_dust:rock_dust molasses:molasses silage:silage bamboo:bamboo_chips nut_shells:nut_shells wood_pellets:wood_pellets
`;
const STUFF_CASES = STUFF.trim()
  .split(/\s+/)
  .map((pair) => pair.split(':') as [string, string])
  .map(([word, id]) => [word.replaceAll('_', ' '), id] as const);

describe('looking for a material by what people call it', () => {
  it.each(STUFF_CASES)('%s finds %s first', (word, id) => {
    expect(searchNames(word, MATERIAL_LIBRARY)[0]?.id).toBe(id);
  });
  it('is tried with two hundred words in all', () => {
    expect(CASES.length + STUFF_CASES.length).toBeGreaterThanOrEqual(200);
  });
});

describe('looking for a crop by what people call it', () => {
  it.each(CASES)('%s finds %s first', (word, id) => {
    expect(searchNames(word, CROP_LIBRARY)[0]?.id).toBe(id);
  });

  it('takes what is half typed, without accents, and nothing that is none', () => {
    expect(searchNames('cauli', CROP_LIBRARY)[0]?.id).toBe('cauliflower');
    expect(searchNames('MACHE', CROP_LIBRARY)[0]?.id).toBe('lambs_lettuce');
    expect(searchNames('lambs lettuce', CROP_LIBRARY)[0]?.id).toBe('lambs_lettuce');
    expect(searchNames('concrete', CROP_LIBRARY)).toEqual([]);
    expect(searchNames('  ', CROP_LIBRARY)).toHaveLength(CROP_LIBRARY.length);
  });
});

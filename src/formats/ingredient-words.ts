import { foldWords } from './fold-words';
import type { Ingredient } from './ingredient';

/** A kind whose numbers choose among several of the larder: by cocoa % or by fat %. */
type Kind = 'dark' | 'milkChocolate' | 'white' | 'cream';

/**
 * Kitchen words for the starting larder: English (US and UK), German, French, Spanish, Italian, Turkish, Hindi. A plain word means the plain thing.
 * Longer phrases go before the words in them.
 */
const WORDS: readonly (readonly [id: string, words: readonly string[], kind?: Kind])[] = [
  [
    'dark-couverture-60',
    [
      'dark chocolate',
      'dark couverture',
      'bittersweet chocolate',
      'plain chocolate',
      'couverture',
      'chocolate',
      'zartbitterschokolade',
      'zartbitter',
      'dunkle schokolade',
      'bitterschokolade',
      'kuvertüre',
      'dunkle kuvertüre',
      'schokolade',
      'chocolat noir',
      'chocolat',
      'couverture noire',
      'chocolate negro',
      'chocolate amargo',
      'cobertura negra',
      'cioccolato fondente',
      'fondente',
      'cioccolato',
      'bitter çikolata',
      'çikolata',
      'kuvertür',
      'डार्क चॉकलेट',
      'चॉकलेट',
    ],
    'dark',
  ],
  ['dark-couverture-54', ['semisweet chocolate', 'semi sweet chocolate', 'halbbitterschokolade'], 'dark'],
  [
    'unsweetened-chocolate-100',
    [
      'unsweetened chocolate',
      'cocoa mass',
      'cocoa liquor',
      'baking chocolate',
      'kakaomasse',
      'pate de cacao',
      'pasta de cacao',
      'pasta di cacao',
      'massa di cacao',
      'kakao kitlesi',
    ],
  ],
  [
    'milk-couverture-36',
    [
      'milk chocolate',
      'milk couverture',
      'vollmilchschokolade',
      'milchschokolade',
      'vollmilchkuvertüre',
      'chocolat au lait',
      'couverture lait',
      'chocolate con leche',
      'cobertura con leche',
      'cioccolato al latte',
      'sütlü çikolata',
      'मिल्क चॉकलेट',
    ],
    'milkChocolate',
  ],
  [
    'white-couverture-28',
    [
      'white chocolate',
      'white couverture',
      'weiße schokolade',
      'weisse kuvertüre',
      'chocolat blanc',
      'couverture blanche',
      'chocolate blanco',
      'cobertura blanca',
      'cioccolato bianco',
      'beyaz çikolata',
      'व्हाइट चॉकलेट',
    ],
    'white',
  ],
  [
    'caramelised-white-couverture',
    [
      'caramelised white chocolate',
      'caramelized white chocolate',
      'blond chocolate',
      'blonde chocolate',
      'chocolat blond',
    ],
  ],
  [
    'dark-maltitol-55',
    [
      'no added sugar chocolate',
      'sugar free chocolate',
      'zuckerfreie schokolade',
      'chocolat sans sucre',
      'chocolate sin azucar',
      'cioccolato senza zucchero',
      'şekersiz çikolata',
      'maltitol chocolate',
    ],
  ],
  ['dark-erythritol-60', ['erythritol chocolate']],
  [
    'chips-semisweet',
    [
      'chocolate chips',
      'semisweet chips',
      'baking chips',
      'schokotropfen',
      'pepites de chocolat',
      'chispas de chocolate',
      'gocce di cioccolato',
      'damla çikolata',
    ],
  ],
  ['chips-milk', ['milk chocolate chips']],
  ['chips-white-vegetable-fat', ['white chocolate chips', 'white chips']],
  ['gianduja-milk', ['gianduja', 'gianduia', 'nougat', 'nussnougat']],
  [
    'cocoa-butter',
    ['cocoa butter', 'kakaobutter', 'beurre de cacao', 'manteca de cacao', 'burro di cacao', 'kakao yağı', 'कोको बटर'],
  ],
  [
    'cocoa-alkalised-22',
    [
      'cocoa powder',
      'cocoa',
      'dutch cocoa',
      'dutch process cocoa',
      'kakao',
      'kakaopulver',
      'backkakao',
      'cacao en poudre',
      'cacao',
      'poudre de cacao',
      'cacao en polvo',
      'cacao in polvere',
      'kakao tozu',
      'कोको पाउडर',
      'कोको',
    ],
  ],
  ['cocoa-natural-11', ['natural cocoa', 'natural cocoa powder']],
  ['cocoa-black', ['black cocoa']],
  ['cacao-nibs', ['cacao nibs', 'cocoa nibs', 'kakaonibs', 'grue de cacao']],
  [
    'cream-35',
    [
      'whipping cream',
      'cream',
      'sahne',
      'schlagsahne',
      'schlagobers',
      'rahm',
      'schlagrahm',
      'creme liquide',
      'creme fleurette',
      'creme entiere',
      'creme',
      'nata',
      'nata para montar',
      'crema de leche',
      'crema',
      'panna',
      'panna fresca',
      'panna da montare',
      'krema',
      'sıvı krema',
      'क्रीम',
      'मलाई',
    ],
    'cream',
  ],
  ['cream-36', ['heavy cream', 'heavy whipping cream']],
  ['cream-48', ['double cream', 'doppelrahm', 'creme double']],
  ['cream-18', ['single cream', 'kaffeesahne', 'creme legere']],
  ['cream-20', ['light cream', 'coffee cream']],
  ['cream-12', ['half and half', 'half half']],
  [
    'milk-whole',
    [
      'milk',
      'whole milk',
      'full fat milk',
      'milch',
      'vollmilch',
      'lait',
      'lait entier',
      'leche',
      'leche entera',
      'latte',
      'latte intero',
      'süt',
      'tam yağlı süt',
      'दूध',
    ],
  ],
  [
    'milk-semi',
    [
      'semi skimmed milk',
      'reduced fat milk',
      '2 milk',
      'fettarme milch',
      'lait demi ecreme',
      'leche semidesnatada',
      'latte parzialmente scremato',
      'yarım yağlı süt',
    ],
  ],
  [
    'milk-skim',
    [
      'skimmed milk',
      'skim milk',
      'nonfat milk',
      'magermilch',
      'lait ecreme',
      'leche desnatada',
      'latte scremato',
      'yağsız süt',
    ],
  ],
  [
    'milk-powder-skim',
    [
      'milk powder',
      'skimmed milk powder',
      'dry milk',
      'nonfat dry milk',
      'milchpulver',
      'magermilchpulver',
      'lait en poudre',
      'poudre de lait',
      'leche en polvo',
      'latte in polvere',
      'süt tozu',
      'मिल्क पाउडर',
    ],
  ],
  ['milk-powder-whole', ['whole milk powder', 'vollmilchpulver']],
  [
    'condensed-sweetened',
    [
      'condensed milk',
      'sweetened condensed milk',
      'kondensmilch gezuckert',
      'gezuckerte kondensmilch',
      'kondensmilch',
      'lait concentre sucre',
      'lait concentre',
      'leche condensada',
      'latte condensato',
      'yoğunlaştırılmış süt',
      'कंडेंस्ड मिल्क',
      'मिल्कमेड',
    ],
  ],
  [
    'condensed-caramelised',
    ['milk caramel', 'caramelised condensed milk', 'dulce de leche', 'confiture de lait', 'milchkaramell'],
  ],
  ['evaporated-milk', ['evaporated milk', 'lait evapore', 'leche evaporada']],
  [
    'butter-unsalted-82',
    [
      'butter',
      'unsalted butter',
      'sweet butter',
      'süßrahmbutter',
      'beurre',
      'beurre doux',
      'mantequilla',
      'mantequilla sin sal',
      'burro',
      'tereyağı',
      'मक्खन',
    ],
  ],
  [
    'butter-salted-80',
    [
      'salted butter',
      'gesalzene butter',
      'beurre sale',
      'beurre demi sel',
      'mantequilla con sal',
      'burro salato',
      'tuzlu tereyağı',
    ],
  ],
  [
    'butter-clarified',
    [
      'clarified butter',
      'ghee',
      'butterschmalz',
      'beurre clarifie',
      'mantequilla clarificada',
      'burro chiarificato',
      'sade yağ',
      'घी',
    ],
  ],
  ['butter-brown', ['brown butter', 'nussbutter', 'beurre noisette', 'burro nocciola']],
  ['creme-fraiche-35', ['creme fraiche', 'sour cream', 'schmand', 'saure sahne']],
  ['mascarpone', ['mascarpone']],
  [
    'cream-cheese',
    ['cream cheese', 'frischkäse', 'fromage frais', 'queso crema', 'formaggio spalmabile', 'krem peynir'],
  ],
  ['yoghurt-whole', ['yoghurt', 'yogurt', 'joghurt', 'yaourt', 'yogur', 'yoğurt', 'दही']],
  ['buttermilk', ['buttermilk', 'buttermilch', 'babeurre', 'lait ribot', 'suero de mantequilla', 'latticello', 'छाछ']],
  [
    'coconut-cream-22',
    ['coconut cream', 'kokossahne', 'creme de coco', 'crema de coco', 'crema di cocco', 'hindistan cevizi kreması'],
  ],
  [
    'coconut-milk-17',
    [
      'coconut milk',
      'kokosmilch',
      'lait de coco',
      'leche de coco',
      'latte di cocco',
      'hindistan cevizi sütü',
      'नारियल का दूध',
    ],
  ],
  [
    'oat-drink',
    [
      'oat drink',
      'oat milk',
      'haferdrink',
      'hafermilch',
      'lait d avoine',
      'bebida de avena',
      'bevanda di avena',
      'yulaf sütü',
    ],
  ],
  [
    'soy-drink',
    ['soy drink', 'soy milk', 'soya milk', 'sojamilch', 'lait de soja', 'bebida de soja', 'latte di soia', 'soya sütü'],
  ],
  [
    'almond-drink',
    [
      'almond drink',
      'almond milk',
      'mandelmilch',
      'lait d amande',
      'bebida de almendra',
      'latte di mandorla',
      'badem sütü',
    ],
  ],
  ['soy-cream-17', ['soy cream', 'soya cream', 'sojasahne']],
  ['margarine-80', ['margarine', 'margarina', 'margarin']],
  ['vegan-butter-block', ['vegan butter', 'plant butter', 'pflanzenbutter', 'beurre vegetal']],
  [
    'coconut-oil',
    [
      'coconut oil',
      'kokosöl',
      'kokosfett',
      'huile de coco',
      'aceite de coco',
      'olio di cocco',
      'hindistan cevizi yağı',
    ],
  ],
  [
    'sunflower-oil',
    [
      'sunflower oil',
      'vegetable oil',
      'neutral oil',
      'oil',
      'sonnenblumenöl',
      'öl',
      'huile de tournesol',
      'huile',
      'aceite de girasol',
      'aceite',
      'olio di semi',
      'olio',
      'ayçiçek yağı',
      'sıvı yağ',
      'तेल',
    ],
  ],
  ['rapeseed-oil', ['rapeseed oil', 'canola oil', 'rapsöl', 'huile de colza']],
  [
    'sugar-granulated',
    [
      'sugar',
      'granulated sugar',
      'white sugar',
      'table sugar',
      'zucker',
      'kristallzucker',
      'haushaltszucker',
      'sucre',
      'sucre cristal',
      'azucar',
      'azucar blanco',
      'zucchero',
      'zucchero semolato',
      'şeker',
      'toz şeker',
      'चीनी',
      'शक्कर',
    ],
  ],
  [
    'sugar-caster',
    [
      'caster sugar',
      'castor sugar',
      'superfine sugar',
      'feiner zucker',
      'sucre semoule',
      'azucar extrafino',
      'zucchero fine',
    ],
  ],
  [
    'sugar-icing',
    [
      'icing sugar',
      'powdered sugar',
      'confectioners sugar',
      'puderzucker',
      'staubzucker',
      'sucre glace',
      'azucar glas',
      'azucar impalpable',
      'zucchero a velo',
      'pudra şekeri',
      'पिसी चीनी',
    ],
  ],
  [
    'sugar-brown-light',
    [
      'brown sugar',
      'light brown sugar',
      'brauner zucker',
      'cassonade',
      'sucre roux',
      'azucar moreno',
      'zucchero di canna',
      'esmer şeker',
      'ब्राउन शुगर',
    ],
  ],
  ['sugar-brown-dark', ['dark brown sugar', 'vergeoise brune']],
  ['muscovado-dark', ['muscovado', 'muscovado sugar', 'jaggery', 'गुड़']],
  ['molasses', ['molasses', 'melasse', 'melaza', 'melassa', 'pekmez']],
  ['black-treacle', ['treacle', 'black treacle']],
  ['honey', ['honey', 'honig', 'miel', 'miele', 'bal', 'शहद']],
  [
    'invert-sugar-paste',
    ['invert sugar', 'invertzucker', 'sucre inverti', 'azucar invertido', 'zucchero invertito', 'invert şeker'],
  ],
  [
    'glucose-syrup-de42',
    [
      'glucose',
      'glucose syrup',
      'liquid glucose',
      'glukosesirup',
      'glukose',
      'sirop de glucose',
      'jarabe de glucosa',
      'glucosa',
      'sciroppo di glucosio',
      'glucosio',
      'glikoz şurubu',
      'glikoz',
    ],
  ],
  ['corn-syrup-light', ['corn syrup', 'light corn syrup', 'maissirup']],
  ['dextrose-monohydrate', ['dextrose', 'traubenzucker', 'destrosio', 'dextrosa']],
  ['fructose', ['fructose', 'fruchtzucker', 'fructosa', 'fruttosio']],
  [
    'maple-syrup',
    ['maple syrup', 'ahornsirup', 'sirop d erable', 'jarabe de arce', 'sciroppo d acero', 'akçaağaç şurubu'],
  ],
  ['golden-syrup', ['golden syrup']],
  ['agave-syrup', ['agave syrup', 'agave', 'agavendicksaft', 'sirop d agave', 'sirope de agave']],
  ['date-syrup', ['date syrup', 'dattelsirup']],
  ['caramel-dry', ['caramel', 'karamell', 'caramelo', 'caramello', 'karamel']],
  ['erythritol', ['erythritol', 'erythrit']],
  ['xylitol', ['xylitol', 'xylit', 'birkenzucker']],
  ['maltitol-powder', ['maltitol', 'maltit']],
  ['allulose', ['allulose']],
  [
    'starch-corn',
    [
      'starch',
      'corn starch',
      'cornstarch',
      'cornflour',
      'maizena',
      'stärke',
      'speisestärke',
      'maisstärke',
      'amidon de mais',
      'fecule de mais',
      'amidon',
      'maicena',
      'almidon de maiz',
      'almidon',
      'amido di mais',
      'amido',
      'mısır nişastası',
      'nişasta',
      'कॉर्न फ्लोर',
      'मकई का आटा',
    ],
  ],
  [
    'starch-potato',
    [
      'potato starch',
      'kartoffelstärke',
      'fecule',
      'fecule de pomme de terre',
      'fecula de patata',
      'fecola di patate',
      'fecola',
      'patates nişastası',
    ],
  ],
  ['starch-tapioca', ['tapioca starch', 'tapioca', 'tapiokastärke']],
  [
    'gelatin-leaf-200',
    [
      'gelatin',
      'gelatine',
      'leaf gelatin',
      'leaf gelatine',
      'gelatin leaf',
      'gelatin leaves',
      'blattgelatine',
      'feuille de gelatine',
      'gelatina',
      'gelatina en hojas',
      'gelatina in fogli',
      'colla di pesce',
      'jelatin',
      'yaprak jelatin',
      'जिलेटिन',
    ],
  ],
  [
    'gelatin-powder-200',
    [
      'gelatin powder',
      'powdered gelatin',
      'gelatinepulver',
      'gelatine en poudre',
      'gelatina en polvo',
      'gelatina in polvere',
      'toz jelatin',
    ],
  ],
  ['agar', ['agar', 'agar agar', 'अगर अगर']],
  ['pectin-nh', ['pectin', 'pektin', 'pectine', 'pectina']],
  ['xanthan', ['xanthan', 'xanthan gum', 'gomme xanthane', 'goma xantana', 'gomma di xantano', 'ksantan']],
  ['glaze-neutral-cold', ['neutral glaze', 'mirror gel', 'nappage neutre', 'nappage']],
  ['water', ['water', 'wasser', 'eau', 'agua', 'acqua', 'su', 'पानी']],
  ['espresso', ['espresso', 'coffee', 'kaffee', 'cafe', 'caffe', 'kahve', 'कॉफी']],
  [
    'coffee-instant',
    ['instant coffee', 'instantkaffee', 'cafe soluble', 'cafe instantaneo', 'caffe solubile', 'hazır kahve'],
  ],
  ['puree-raspberry', ['raspberry puree', 'himbeerpüree', 'puree de framboise']],
  ['puree-passion', ['passion fruit puree', 'passionsfruchtpüree']],
  ['puree-mango', ['mango puree', 'mangopüree']],
  [
    'lemon-juice',
    [
      'lemon juice',
      'zitronensaft',
      'jus de citron',
      'zumo de limon',
      'jugo de limon',
      'succo di limone',
      'limon suyu',
      'नींबू का रस',
    ],
  ],
  [
    'orange-juice',
    [
      'orange juice',
      'orangensaft',
      'jus d orange',
      'zumo de naranja',
      'jugo de naranja',
      'succo d arancia',
      'portakal suyu',
      'संतरे का रस',
    ],
  ],
  [
    'vanilla-extract',
    [
      'vanilla',
      'vanilla extract',
      'vanille',
      'vanilleextrakt',
      'extrait de vanille',
      'vainilla',
      'extracto de vainilla',
      'vaniglia',
      'estratto di vaniglia',
      'vanilya',
      'वनीला',
      'वनीला एसेंस',
    ],
  ],
  ['vanilla-paste', ['vanilla paste', 'vanilla bean paste', 'vanillepaste', 'pate de vanille', 'pasta di vaniglia']],
  ['salt-fine', ['salt', 'fine salt', 'table salt', 'sea salt', 'salz', 'sel', 'sal', 'sale', 'tuz', 'नमक']],
  ['salt-flaky', ['flaky salt', 'sea salt flakes', 'fleur de sel', 'salzflocken', 'flor de sal']],
  ['cinnamon', ['cinnamon', 'zimt', 'cannelle', 'canela', 'cannella', 'tarçın', 'दालचीनी']],
  [
    'chilli-powder',
    [
      'chilli',
      'chili',
      'chilli powder',
      'chili powder',
      'chilipulver',
      'piment',
      'chile',
      'peperoncino',
      'pul biber',
      'लाल मिर्च',
    ],
  ],
  ['cayenne', ['cayenne', 'cayenne pepper', 'cayennepfeffer']],
  ['lecithin-soy', ['lecithin', 'soy lecithin', 'sojalecithin', 'lecithine', 'lecitina', 'lesitin']],
  [
    'egg-yolk',
    [
      'egg yolk',
      'egg yolks',
      'yolk',
      'yolks',
      'eigelb',
      'jaune d oeuf',
      'jaunes d oeufs',
      'yema',
      'yemas',
      'tuorlo',
      'tuorli',
      'yumurta sarısı',
      'अंडे की जर्दी',
    ],
  ],
  [
    'egg-whole',
    [
      'egg',
      'eggs',
      'whole egg',
      'ei',
      'eier',
      'oeuf',
      'oeufs',
      'huevo',
      'huevos',
      'uovo',
      'uova',
      'yumurta',
      'अंडा',
      'अंडे',
    ],
  ],
  ['rum-40', ['rum', 'dark rum', 'white rum', 'spirit', 'rhum', 'ron', 'रम']],
  ['brandy-40', ['brandy', 'weinbrand', 'eau de vie', 'konyak', 'ब्रांडी']],
  ['whisky-40', ['whisky', 'whiskey', 'bourbon', 'viski', 'व्हिस्की']],
  ['kirsch-40', ['kirsch', 'kirschwasser', 'cherry brandy']],
  [
    'orange-liqueur-40',
    [
      'orange liqueur',
      'triple sec',
      'orangenlikör',
      'liqueur d orange',
      'licor de naranja',
      'liquore all arancia',
      'portakal likörü',
    ],
  ],
  [
    'almond-liqueur-28',
    ['almond liqueur', 'mandellikör', 'liqueur d amande', 'licor de almendra', 'liquore alle mandorle', 'badem likörü'],
  ],
  [
    'hazelnut-liqueur-20',
    [
      'hazelnut liqueur',
      'nut liqueur',
      'haselnusslikör',
      'liqueur de noisette',
      'liquore alle nocciole',
      'fındık likörü',
    ],
  ],
  [
    'coffee-liqueur-20',
    ['coffee liqueur', 'kaffeelikör', 'liqueur de cafe', 'licor de cafe', 'liquore al caffe', 'kahve likörü'],
  ],
  ['cream-liqueur-17', ['cream liqueur', 'sahnelikör', 'liqueur creme']],
  [
    'hazelnut-paste',
    ['hazelnut paste', 'haselnussmark', 'pate de noisette', 'pasta de avellana', 'pasta di nocciole', 'fındık ezmesi'],
  ],
  [
    'almond-paste',
    ['almond paste', 'almond butter', 'mandelmus', 'puree d amande', 'pasta di mandorle', 'badem ezmesi'],
  ],
  [
    'pistachio-paste',
    [
      'pistachio paste',
      'pistazienmark',
      'pate de pistache',
      'pasta de pistacho',
      'pasta di pistacchio',
      'antep fıstığı ezmesi',
    ],
  ],
  [
    'peanut-butter',
    [
      'peanut butter',
      'erdnussbutter',
      'erdnussmus',
      'beurre de cacahuete',
      'mantequilla de cacahuete',
      'burro di arachidi',
      'fıstık ezmesi',
    ],
  ],
  ['praline-50', ['praline', 'praline paste', 'pralinenmasse', 'pralinmasse', 'pralinato']],
  ['tahini', ['tahini', 'sesame paste', 'tahin', 'sesammus']],
];

const byWords = WORDS.flatMap(([id, words, kind]) =>
  words.map((phrase) => ({ id, kind, words: foldWords(phrase).split(' ') })),
).sort((a, b) => b.words.length - a.words.length);

/** Words that say how a thing is cut, kept or how good it is: they name no other thing. */
const BESIDE_THE_POINT = new Set(
  [
    'of',
    'the',
    'a',
    'and',
    'de',
    'du',
    'des',
    'di',
    'del',
    'la',
    'le',
    'fine',
    'finely',
    'good',
    'quality',
    'best',
    'fresh',
    'chopped',
    'melted',
    'softened',
    'cold',
    'warm',
    'hot',
    'sifted',
    'grated',
    'soft',
    'room',
    'temperature',
    'fat',
    'min',
    'cocoa',
    'kakao',
    'cacao',
    'solids',
    'percent',
    'prozent',
    'organic',
    'bio',
    'gehackt',
    'gehackte',
    'hache',
    'fondu',
    'picado',
    'tritato',
    'flüssig',
    'liquide',
  ].map(foldWords),
);
const SUGAR_FREE =
  /(no added sugar|sugar free|without sugar|zuckerfrei|ohne zucker|sans sucre|sin azucar|senza zucchero|sekersiz|maltitol|erythritol)/;

/** Whether an ingredient is of a kind that is chosen by its number. */
const OF_KIND: Readonly<Record<Kind, (each: Ingredient) => boolean>> = {
  dark: ({ group, components: c, cocoaPercent }) =>
    group === 'chocolate' &&
    cocoaPercent !== null &&
    (c.milk_protein ?? 0) < 1 &&
    (c.cocoa_butter ?? 0) >= 20 &&
    (c.sucrose ?? 0) > 5,
  milkChocolate: ({ group, components: c }) =>
    group === 'chocolate' && (c.milk_protein ?? 0) >= 3 && (c.cocoa_solids ?? 0) > 1 && (c.cocoa_butter ?? 0) >= 15,
  white: ({ group, components: c }) =>
    group === 'chocolate' && (c.milk_protein ?? 0) >= 3 && (c.cocoa_solids ?? 0) < 1 && (c.cocoa_butter ?? 0) >= 15,
  cream: ({ group, name, components: c }) => group === 'dairy' && /cream/i.test(name) && (c.water ?? 0) >= 45,
};

const numberOf: Readonly<Record<Kind, (each: Ingredient) => number>> = {
  dark: ({ cocoaPercent }) => cocoaPercent ?? 0,
  milkChocolate: ({ cocoaPercent }) => cocoaPercent ?? 0,
  white: ({ cocoaPercent }) => cocoaPercent ?? 0,
  cream: ({ components }) => components.milk_fat ?? 0,
};

/** What a cook plainly means. */
export interface PlainMeaning {
  /** the likeliest first */
  readonly found: readonly Ingredient[];
  /** nothing else was said that could mean another thing */
  readonly sure: boolean;
}

/** The ingredients of a kind, nearest to a number first. */
function nearest(kind: Kind, number: number, larder: readonly Ingredient[]): Ingredient[] {
  return larder
    .filter(OF_KIND[kind])
    .sort((a, b) => Math.abs(numberOf[kind](a) - number) - Math.abs(numberOf[kind](b) - number));
}

/**
 * What kitchen words mean in the larder: plain words the plain thing, with a number the nearest of its kind (“55” is the couverture nearest to 55 %
 * cocoa). Chocolate without added sugar is meant only when it is asked for.
 *
 * @param text a name, without its amount
 */
export function plainMeaning(text: string, larder: readonly Ingredient[]): PlainMeaning {
  const folded = foldWords(text);
  const said = folded.split(' ').filter(Boolean);
  const numbers = said.filter((word) => /^\d+$/.test(word)).map(Number);
  const words = said.filter((word) => !/^\d+$/.test(word));
  const [number] = numbers;
  if (words.every((word) => BESIDE_THE_POINT.has(word)) && number !== undefined && number >= 25 && number <= 100) {
    const found = [...nearest('dark', number, larder), ...nearest('milkChocolate', number, larder)].sort(
      (a, b) => Math.abs((a.cocoaPercent ?? 0) - number) - Math.abs((b.cocoaPercent ?? 0) - number),
    );
    return { found: found.slice(0, 5), sure: found.length > 0 };
  }
  const isThere = (phrase: readonly string[]) =>
    words.some((_, i) => phrase.every((word, k) => words[i + k] === word || words[i + k] === `${word}s`));
  const isSugarFree = SUGAR_FREE.test(folded);
  const hits = byWords.filter(
    ({ words: phrase, id }) => isThere(phrase) && (isSugarFree || !/maltitol-55|erythritol-60/.test(id)),
  );
  const [best] = hits;
  if (!best) return { found: [], sure: false };
  const covered = new Set(best.words);
  const left = words.filter(
    (word) => !covered.has(word) && !covered.has(word.replace(/s$/, '')) && !BESIDE_THE_POINT.has(word),
  );
  const byNumber = best.kind && number !== undefined ? nearest(best.kind, number, larder) : [];
  const plain = larder.find(({ id }) => id === best.id);
  const kin = best.kind ? larder.filter(OF_KIND[best.kind]) : [];
  const found = [...new Set([...byNumber.slice(0, 3), ...(plain ? [plain] : []), ...kin])].slice(0, 5);
  // a number means nothing to a thing that is not chosen by it, unless its own name says it
  const isNumberMeant = best.kind !== undefined || numbers.every((each) => plain?.name.includes(String(each)));
  return { found, sure: left.length === 0 && found.length > 0 && isNumberMeant };
}

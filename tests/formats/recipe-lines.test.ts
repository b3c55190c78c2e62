import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findRecipeInPage, plainText } from '@/formats/recipe-json-ld';
import { sortRecipe } from '@/formats/recipe-lines';
import { readRecipe } from '@/formats/recipe-text';
import { spokenAmount } from '@/formats/spoken-amount';
import { larder } from '../support/kitchen';

const pantry = [...larder.values()];
const read = (text: string) => readRecipe(text, pantry);

describe('a recipe sorted', () => {
  const FUDGE = [
    'Hot fudge',
    'Serves 4',
    'For the sauce:',
    '250 g dark chocolate 60%',
    '* 200 ml whipping cream',
    '30 g butter, cold',
    'Method',
    '1. Heat the cream until it boils.',
    '2) Pour over the chocolate and stir until smooth.',
    '1 pinch salt',
    'Serve warm.',
  ].join('\n');

  it('a title becomes the name, headings and portions nothing, steps no ingredients', () => {
    const { title, ingredients, steps } = sortRecipe(FUDGE);
    expect(title).toBe('Hot fudge');
    expect(ingredients).toEqual([
      '250 g dark chocolate 60%',
      '200 ml whipping cream',
      '30 g butter, cold',
      '1 pinch salt',
    ]);
    expect(steps).toEqual([
      'Heat the cream until it boils.',
      'Pour over the chocolate and stir until smooth.',
      'Serve warm.',
    ]);
    expect(read(FUDGE).rows.map(({ candidates }) => candidates[0]?.id)).not.toContain('glaze-neutral-hot');
  });

  it.each([
    ['Zutaten', 'Zubereitung', '200 g Sahne', 'Die Sahne langsam erhitzen und rühren.'],
    ['Ingrédients', 'Préparation', '200 g de crème', 'Faire chauffer la crème doucement.'],
    ['Ingredientes', 'Preparación', '200 g de nata', 'Calentar la nata hasta que hierva.'],
    ['Ingredienti', 'Procedimento', '200 g di panna', 'Scaldare la panna fino al bollore.'],
    ['Malzemeler', 'Yapılışı', '200 g krema', 'Kremayı kısık ateşte ısıtın.'],
    ['You will need', 'Directions', '200 g cream', 'Bring the cream to the boil.'],
  ])('headings in %s', (goesIn, isDone, row, step) => {
    expect(sortRecipe(`Sauce\n${goesIn}\n${row}\n${isDone}:\n${step}`)).toEqual({
      title: 'Sauce',
      ingredients: [row],
      steps: [step],
    });
  });

  it('a list of names alone stays a list', () => {
    expect(sortRecipe('whipping cream\ndark chocolate').ingredients).toEqual(['whipping cream', 'dark chocolate']);
  });

  it('loses no line that puts something in, whatever stands around it', () => {
    const row = fc.constantFrom('200 g cream', '1 cup sugar', '30 g butter', '2 tbsp honey');
    const other = fc.constantFrom('Method', 'For the glaze:', 'Stir well until it shines.', 'Serves 6', '');
    fc.assert(
      fc.property(fc.array(fc.oneof(row, other), { maxLength: 12 }), (lines) => {
        const rows = lines.filter((line) => /^\d/.test(line));
        expect(sortRecipe(lines.join('\n')).ingredients.filter((line) => /^\d/.test(line))).toEqual(rows);
      }),
    );
  });
});

describe('amounts as they are spoken', () => {
  it.each([
    ['three-quarters of a cup sugar', 'sugar-granulated', 0.75, 'cup'],
    ['a quarter of a cup of milk', 'milk-whole', 0.25, 'cup'],
    ['half a cup of sugar', 'sugar-granulated', 0.5, 'cup'],
    ['two thirds of a cup sugar', 'sugar-granulated', 2 / 3, 'cup'],
    ['five ounces of milk chocolate', 'milk-couverture-36', 5, 'oz'],
    ['1 and a half tablespoons honey', 'honey', 1.5, 'tbsp'],
    ['1 small pot (300ml) double cream', 'cream-48', 300, 'ml'],
    ['1 tin (397 g) condensed milk', 'condensed-sweetened', 397, 'g'],
    ['2 cartons (200 ml) whipping cream', 'cream-35', 400, 'ml'],
    ['100 g + 20 g sugar', 'sugar-granulated', 120, 'g'],
    ['250 g dark chocolate 60%', 'dark-couverture-60', 250, 'g'],
  ])('%s', (line, id, amount, unit) => {
    const [row] = read(line).rows;
    expect(row?.candidates[0]?.id).toBe(id);
    expect(row?.amount).toBeCloseTo(amount, 3);
    expect(row?.unit).toBe(unit);
    expect(row?.sure).toBe(true);
  });

  it.each([
    'about 150-200g butter',
    'a jigger of rum',
    'handful of chopped hazelnuts',
    '1 packet of vanilla sugar',
    'pinch of sea salt',
    '½ tsp kosher salt',
  ])('%s is asked, with a proposal', (line) => {
    const [row] = read(line).rows;
    expect(row?.asks).toBeDefined();
    expect(row?.amount).toBeGreaterThan(0);
    expect(row?.sure).toBe(false);
  });

  it('½ tsp of coarse salt weighs about 1.4 g, not 3', () => {
    expect(read('½ tsp kosher salt').rows[0]?.grams).toBeCloseTo(1.4, 0);
  });

  it('two units in one sum are asked, and amounts written as figures stay', () => {
    expect(read('100 g + 2 tbsp sugar').rows[0]?.sure).toBe(false);
    for (const line of ['200 g cream', '1 1/2 cups sugar', '2 x 100 g butter']) expect(spokenAmount(line)).toBe(line);
  });
});

describe('a saved web page', () => {
  const page = (data: unknown) =>
    `<html><head><script>var a = "<b>";</script><script type="application/ld+json">{"@type":"Thing"}</script>
     <script type='application/ld+json'>${JSON.stringify(data)}</script></head><body>Hot &amp; sweet</body></html>`;
  const RECIPE = {
    '@type': ['Recipe'],
    name: 'Weir &amp; mill sauce',
    recipeIngredient: ['&frac12; cup sugar', '200&nbsp;g dark chocolate 60 %'],
    recipeInstructions: [
      {
        '@type': 'HowToSection',
        name: 'Sauce',
        itemListElement: [{ '@type': 'HowToStep', text: 'Boil the <b>cream</b>.' }],
      },
      'Pour it over.',
    ],
  };

  it.each([
    ['by itself', RECIPE],
    ['in a graph', { '@graph': [{ '@type': 'WebPage' }, RECIPE] }],
    ['nested', { '@type': 'WebPage', mainEntity: { about: [RECIPE] } }],
  ])('%s is read: signs, sections of steps', (_, data) => {
    const found = findRecipeInPage(page(data));
    expect(found?.name).toBe('Weir & mill sauce');
    expect(found?.lines).toEqual(['½ cup sugar', '200 g dark chocolate 60 %']);
    expect(found?.steps).toEqual(['Boil the cream .', 'Pour it over.']);
  });

  it('without a recipe, cut short or deep says nothing and does not throw', () => {
    expect(findRecipeInPage('<html><script type="application/ld+json">{"@type":')).toBeUndefined();
    expect(findRecipeInPage(page({ '@type': 'Person' }))).toBeUndefined();
    let deep: unknown = RECIPE;
    for (let i = 0; i < 50; i++) deep = [deep];
    expect(findRecipeInPage(page(deep))).toBeUndefined();
  });

  it('signs by number, by name, and unknown ones', () => {
    expect(plainText('1&#189; &amp; &#x2153; &nosuchthing; <i>fine</i>')).toBe('1½ & ⅓ &nosuchthing; fine');
    expect(plainText('&#0; &#99999999;')).toBe('&#0; &#99999999;');
  });
});

/**
 * Recipes as seven kitchens write them, made up for this test. Each line: what is pasted, then ` | ` and what it means:
 *
 * - `id 200`: so many g of this ingredient; `id/id` where either name is right
 * - `?`: nobody can know, it must be asked
 * - `-`: nothing goes in by this line
 *
 * A line that is asked about is never wrong; one that is taken without asking must be right.
 */
export const ORDINARY: readonly string[] = [
  // A British home kitchen.
  'Fudge sauce for a wet Sunday | -\n100g dark chocolate (70%), broken up | dark-couverture-70 100\n150ml double cream | cream-48 151\n25g butter | butter-unsalted-82 25\n1 tbsp golden syrup | golden-syrup 21',
  '200g plain chocolate | dark-couverture-54/dark-couverture-60 200\n284ml pot double cream | cream-48 286\n50g light muscovado sugar | sugar-brown-light 50\npinch of salt | ?',
  'Treacle sauce | -\n2 tbsp black treacle | black-treacle 42\n75g unsalted butter | butter-unsalted-82 75\n100ml whole milk | milk-whole 103\n1 tsp vanilla extract | vanilla-extract 5',
  '350g caster sugar | sugar-caster 350\n125ml water | water 125\n60g cocoa powder, sifted | cocoa-alkalised-22/cocoa-natural-11 60\n200ml single cream | cream-18 201',
  'Ingredients: | -\n1 x 397g tin condensed milk | condensed-sweetened 397\n30g cocoa | cocoa-alkalised-22/cocoa-natural-11 30\n20g butter | butter-unsalted-82 20\nMethod | -\n1. Warm it all gently. | -',
  '250 g white chocolate | white-couverture-28/white-couverture-34 250\n100 ml whipping cream | cream-35/cream-36 101\n½ tsp flaky salt | salt-flaky 1.5',
  // An American home kitchen.
  'Back porch hot fudge | -\n1 cup heavy cream | cream-36 237\n1/2 cup packed dark brown sugar | sugar-brown-dark 110\n1/4 cup light corn syrup | corn-syrup-light 85\n6 oz bittersweet chocolate, chopped | dark-couverture-60/dark-couverture-70/chips-bittersweet 170\n2 tbsp unsalted butter | butter-unsalted-82 28',
  '2 sticks butter | butter-unsalted-82 227\n1 1/2 cups granulated sugar | sugar-granulated 300\n3/4 cup Dutch-process cocoa powder | ?\n1 teaspoon vanilla extract | vanilla-extract 5',
  '12 ounces semisweet chocolate chips | chips-semisweet 340\n1 can (14 oz) sweetened condensed milk | condensed-sweetened 397\n1 tbsp light corn syrup | corn-syrup-light 21',
  '3 tbsp honey | honey 63\n8 oz cream cheese, softened | cream-cheese 227\n1 cup powdered sugar | sugar-icing 120\n2 tsp instant coffee | coffee-instant 2.4',
  '1 1/4 cups heavy whipping cream, divided | cream-36 296\n10 oz milk chocolate | milk-couverture-33/milk-couverture-36 284\n1/2 tsp kosher salt | ?',
  'Maple drizzle | -\n1/2 cup maple syrup | maple-syrup 160\n4 oz unsweetened chocolate | unsweetened-chocolate-100 113\n1/4 cup whole milk | milk-whole 61',
  // A French pastry shop, in its English.
  'Glaçage | -\n150 g water | water 150\n300 g caster sugar | sugar-caster 300\n300 g glucose syrup DE 42 | glucose-syrup-de42 300\n200 g sweetened condensed milk | condensed-sweetened 200\n20 g gelatine powder 200 bloom | gelatin-powder-200 20\n300 g dark couverture 64% | dark-couverture-64 300',
  '500 g cream 35% | cream-35 500\n450 g dark couverture 66 % | dark-couverture-66 450\n75 g invert sugar | invert-sugar-paste 75\n110 g butter 82% | butter-unsalted-82 110',
  '250 g praline 50% | praline-50 250\n80 g milk couverture 40 % | milk-couverture-40 80\n25 g cocoa butter | cocoa-butter 25',
  '200 g raspberry puree | puree-raspberry 200\n30 g dextrose | dextrose-monohydrate 30\n4 g pectin NH | pectin-nh 4\n40 g sugar | sugar-granulated/sugar-caster 40',
  '120 g gianduja milk | gianduja-milk 120\n100 g cream 35 % | cream-35 100\n10 g kirsch | kirsch-40 10',
  '6 leaves gelatine | gelatin-leaf-200 12\n180 g cocoa powder 22% alkalised | cocoa-alkalised-22 180\n400 g cream 35% | cream-35 400',
  // A Viennese café.
  'Schokoladensauce | -\n200 g Zartbitterkuvertüre 60 % | ?\n1/8 l Sahne | cream-30/cream-35 125\n20 g Butter | butter-unsalted-82 20\n1 EL Rum | rum-40 14',
  '250 g dark couverture 60 % | dark-couverture-60 250\n0.25 l whipping cream 35% | cream-35 250\n4 cl rum | rum-40 38\n1 Msp. Zimt | ?',
  '150 g apricot glaze, hot | ?\n200 g sugar | sugar-granulated/sugar-caster 200\n125 ml water | water 125\n160 g dark chocolate 70% | dark-couverture-70 160',
  // An Australian café.
  '300ml thickened cream | ?\n200g dark chocolate melts | ?\n2 tablespoons brown sugar | sugar-brown-light 28\n1 teaspoon sea salt flakes | salt-flaky 3',
  '395g can sweetened condensed milk | condensed-sweetened 395\n60g butter, chopped | butter-unsalted-82 60\n2 tbs golden syrup | golden-syrup 42',
  '250ml coconut cream | coconut-cream-22 250\n180g dark chocolate 70% | dark-couverture-70 180\n1 tbsp maple syrup | maple-syrup 20',
  // A hotel's own cards.
  'Dark coupe sauce, yield 2 kg | -\n0.8 kg water | water 800\n0.45 kg sugar | sugar-granulated/sugar-caster 450\n0.24 kg cocoa powder 22 % | cocoa-alkalised-22 240\n0.5 kg dark couverture 58 % | dark-couverture-58 500\n0.03 kg cornstarch | starch-corn 30',
  '1 l cream 35% | cream-35 1000\n1 kg dark couverture 64 % | dark-couverture-64 1000\n150 g glucose DE60 | glucose-syrup-de60 150\n120 g butter | butter-unsalted-82 120\n1 g lecithin | lecithin-soy/lecithin-sunflower 1',
  '500 g milk | milk-whole 500\n70 g egg yolk | egg-yolk 70\n100 g caster sugar | sugar-caster 100\n150 g dark couverture 66 % | dark-couverture-66 150',
  '600 g white couverture 34 % | white-couverture-34 600\n230 g cream 35 % | cream-35 230\n40 g cocoa butter | cocoa-butter 40\n15 g orange liqueur 40 % | orange-liqueur-40 15',
  '90 g espresso | espresso 90\n120 g milk couverture 33% | milk-couverture-33 120\n15 g glucose syrup DE42 | glucose-syrup-de42 15',
  // A plant kitchen.
  '200 ml soy cream | soy-cream-17 200\n180 g dark chocolate 75 % | dark-couverture-75 180\n20 g agave syrup | agave-syrup 20\n10 g coconut oil | coconut-oil 10',
  '250 g oat drink | oat-drink 250\n25 g corn starch | starch-corn 25\n40 g cocoa powder 11% natural | cocoa-natural-11 40\n60 g date syrup | date-syrup 60',
  '150 ml almond drink | almond-drink 150\n100 g hazelnut paste | hazelnut-paste 100\n80 g dark couverture 80% | dark-couverture-80 80\n2 g xanthan gum | xanthan 2',
  '400 ml coconut milk | coconut-milk-17 400\n150 g sugar | sugar-granulated/sugar-caster 150\n2 tbsp tahini | tahini 30',
  // A sugar-free diner.
  '150 g maltitol chocolate 55% | dark-maltitol-55 150\n200 g cream 35 % | cream-35 200\n30 g erythritol | erythritol 30\n10 g inulin | inulin 10',
  '40 g allulose | allulose 40\n25 g cocoa powder 22% | cocoa-alkalised-22 25\n120 g water | water 120\n15 g butter | butter-unsalted-82 15',
  '100 g xylitol | xylitol 100\n5 g gelatine powder | gelatin-powder-200 5\n20 g glycerol | glycerol 20',
  'Peanut pour | -\n120 g peanut butter | peanut-butter 120\n150 g cream 35% | cream-35 150\n100 g milk couverture 36 % | milk-couverture-36 100\n3 g salt | salt-fine 3',
  '75 g pistachio paste | pistachio-paste 75\n200 g white couverture 28 % | white-couverture-28 200\n90 g cream 35% | cream-35 90',
  '100 g mascarpone | mascarpone 100\n80 g crème fraîche | creme-fraiche-35 80\n150 g dark couverture 60% | dark-couverture-60 150\n30 g sugar | sugar-granulated/sugar-caster 30',
  '50 g caramelised white couverture | caramelised-white-couverture 50\n45 g cream 35 % | cream-35 45\n1 g salt | salt-fine 1',
];

export const HOSTILE: readonly string[] = [
  '100 g + 20 g sugar | sugar-granulated/sugar-caster 120\n200 g cream 35 % | cream-35 200',
  'about 150-200g dark chocolate 70% | ?\na good glug of rum | ?\nsome butter | ?',
  'handful of chopped hazelnuts | ?\nhandful of ice | ?',
  '1 small pot (300ml) double cream | cream-48 302\n1 bar chocolate | ?',
  'three-quarters of a cup of sugar | sugar-granulated/sugar-caster 150\nfive ounces dark chocolate 70% | dark-couverture-70 142\n1 and a half tablespoons honey | honey 32',
  'a quarter of a cup of water | water 60\npinch of sea salt | ?\nhalf a teaspoon of cinnamon | cinnamon 1.3',
  'zest of one orange | ?\nzest of 2 lemons, no pith | ?\njuice of half a lemon | ?',
  'For the glaze: | -\nFor the top | -\nHot fudge | -\nServe warm. | -\n200 g sugar | sugar-granulated/sugar-caster 200',
  'Step 1: Put 200 g of sugar in a pan and stir. | -\nStep 2: Add 100 g cream, and boil for 2 minutes. | -\n100 g cream 35% | cream-35 100',
  '1. 200 g dark couverture 64% | dark-couverture-64 200\n2. 180 g cream 35% | cream-35 180\n3. 20 g butter | butter-unsalted-82 20',
  '- [ ] 200 g cream 35 % | cream-35 200\n- [x] 200 g dark couverture 60 % | dark-couverture-60 200\n* 10 g honey | honey 10',
  '200g|cream 35% | ?\n\t150 g  dark   couverture  66 % | dark-couverture-66 150',
  'cream 35 % 200 g | cream-35 200\ndark couverture 64 %: 180 g | dark-couverture-64 180\nbutter ... 20 g | butter-unsalted-82 20',
  '1e9 g sugar | ?\n-50 g butter | butter-unsalted-82 50\nNaN g cream | ?\n0 g water | water 0',
  '١٠٠ g sugar | sugar-granulated 100\n２００ g butter | butter-unsalted-82 200\n1,000 g sugar | ?\n1.000,5 g Zucker | sugar-granulated 1000.5',
  '<b>200 g</b> cream 35 % | cream-35 200\n<script>alert(1)</script> | -\n200 g cream&nbsp;35&nbsp;% | cream-35 200',
  '200 g cream or milk | ?\n100 g dark or milk chocolate | ?\n50 g butter (or margarine) | ?',
  '1 tin coconut milk | ?\n2 packets gelatine | ?\n1 jigger brandy | ?',
  '1 tin (397 g) condensed milk | condensed-sweetened 397\n2 x 100 g bars dark chocolate 70% | dark-couverture-70 200',
  '200 g flour | ?\n3 eggs | egg-whole 150\n100 g marzipan | ?\n50 g oats | ?',
  '200 g moon cheese | ?\n80 g lantern oil | ?\n10 g weir salt | ?',
  'milk | -\nbutter | ?\n250 | ?\ng | ?',
  '200 g not butter | ?\nno added sugar chocolate 100 g | ?\n100 g butter-flavoured topping | ?',
  '100 g chocolate milk | ?\n100 g cream soda | ?\n50 g butter beans | ?',
  '50 ml vanilla milk | ?\n30 g sugar snaps | ?\n100 g cocoa pops | ?\n200 g rice milk | ?',
  '20 g ginger, fresh | ?\n1 star anise | ?\n4 cardamom pods | ?\n1 vanilla pod | ?',
  '200 gr. sugar | sugar-granulated/sugar-caster 200\n2 dl cream 35% | cream-35 200\n1 cl water | water 10\n5 dag butter | butter-unsalted-82 50',
  '2½ oz dark chocolate 70% | dark-couverture-70 71\n1⅓ cups sugar | sugar-granulated/sugar-caster 267\n⅛ tsp salt | salt-fine 0.75',
  '1/0 cup sugar | ?\n3/4/5 cup cream | ?\n1--2 tbsp rum | ?\n∞ g butter | ?',
  '200 g cream, 35 % fat, cold from the fridge, divided into two equal parts | cream-35 200\n200 g very very very fine sugar | ?',
  'CREAM 35 % 200 G | cream-35 200\nDARK COUVERTURE 64 % 200 G | dark-couverture-64 200',
  'Crème 35 % : 200 g | ?\nBeurre : 30 g | ?\nSucre : 50 g | ?\nEau : 100 g | ?',
  'Zucchero 100 g | ?\npanna 200 g | ?\ncioccolato fondente 70% 150 g | ?',
  '200 g cream 35 % (see note 3) | ?\n100 g sugar* | sugar-granulated/sugar-caster 100\n50 g butter† | butter-unsalted-82 50',
  'Total: 500 g | -\nYield 12 portions | -\nPrep 10 min | -\nServes 8 | -\n60 g honey | honey 60',
  'Note: keeps 5 days. | -\nTip: use good chocolate! | -\nwww.example.invalid/sauce | -\n30 g glucose syrup DE 42 | glucose-syrup-de42 30',
  '200 g sugar + 50 g | ?\n+ 20 g butter | ?\n100 g + g cream | ?',
  '🍫 200 g dark couverture 60 % | dark-couverture-60 200\n🧈 20 g butter | butter-unsalted-82 20\n200 g cream 35 % 🥛 | cream-35 200',
  `${'very '.repeat(60)}fine sugar 100 g | -\n100 g ${'x'.repeat(300)} | ?`,
  '200 g cream 35 %\u200b | cream-35 200\n\ufeff100 g sugar | sugar-granulated/sugar-caster 100\n50\u00a0g\u00a0butter | butter-unsalted-82 50',
];

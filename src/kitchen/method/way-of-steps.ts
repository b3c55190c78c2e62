import { methodRows } from '@/core/method/rows';
import type { WayId } from '@/core/method/step';
import { suitingWays } from '@/core/method/ways/ways';
import { foldWords } from '@/formats/fold-words';
import type { FormulaFile } from '@/formats/formula-file';
import { type LarderComposition, resolveFormula } from '@/formats/resolve-formula';
import { kitchenOf, wayQuestion } from './work-method';

/** What a recipe's steps say of a way, in five languages, without accents; the more special first: many also "pour over" or "bring to the boil". */
const TELLS: readonly (readonly [WayId, RegExp])[] = [
  ['whipped', /\b(whip|whisk to|soft peaks|aufschlag|fouett|mont(ar|ate|er)\b)/],
  ['gelatinMirror', /\b(gelatin|gelatine|gelatina)/],
  ['neutralGlaze', /\b(neutral glaze|nappage|neutralglasur)/],
  ['custard', /\b(yolk|custard|creme anglaise|eigelb|jaune|yema|tuorl|8[2-5] (c|degrees|grad))/],
  ['waterBath', /\b(water ?bath|double boiler|bain ?marie|simmering water|wasserbad|bano maria|bagnomaria)/],
  [
    'creamInMicrowave',
    /\b(cream|rahm|sahne|creme|nata|panna)[^.]{0,40}\b(microwave|mikrowelle|micro ?ondes|microondas)/,
  ],
  ['microwave', /\b(microwave|mikrowelle|micro ?ondes|microondas)/],
  [
    'stickBlender',
    /\b(stick blender|hand blender|immersion blender|stabmixer|purierstab|mixeur plongeant|batidora|minipimer)/,
  ],
  [
    'overCondensed',
    /\b(pour|giess|vers(e|er|ez|are|ate)|vert)[^.]{0,60}\b(condensed|kondensmilch|concentre|condensad|condensat)/,
  ],
  ['condensedWarmed', /\b(condensed|kondensmilch|concentre|condensad|condensat)/],
  ['starchLast', /\b(melt)[^.]{0,40}\bchocolate\b.*\b(slurry|slaked|cornflour|cornstarch)/],
  ['starchSauce', /\b(starch|cornflour|cornstarch|slurry|starke|maizena|fecule|maicena|amido)/],
  ['cocoaSyrup', /\b(cocoa|kakao|cacao)[^.]{0,80}\b(boil|simmer|koch|bouill|herv|boll)/],
  ['fatFirst', /\bmelt[^.]{0,40}\bbutter\b/],
  [
    'pouredOver',
    /\b(pour|giess|vers(e|er|ez|are|ate)|vierte)[^.]{0,60}\b(over|on|onto|uber|auf|sur|sobre|sul)\b|\b(uber|auf)\b[^.]{0,40}\b(giess|ubergiess)/,
  ],
  ['simmered', /\b(simmer|warm|heat|boil|koch|chauff|bouill|calent|herv|scald|boll)/],
];

/**
 * The way of working that a pasted recipe's steps tell, of those that suit its formula.
 *
 * @param steps in their order, as they were written
 * @returns nothing where the words tell none that suits
 */
export function wayOfSteps(steps: readonly string[], file: FormulaFile, larder: LarderComposition): WayId | undefined {
  const text = steps
    .flatMap((step) => step.split(/[.!?;]\s/))
    .map(foldWords)
    .join(' . ');
  const formula = resolveFormula(file, larder, 'standard');
  const { lines, hints, pourC } = wayQuestion(file, formula, kitchenOf(file, 20));
  const suiting = suitingWays(methodRows(lines, hints), pourC);
  return TELLS.find(([way, tells]) => suiting.includes(way) && tells.test(text))?.[0];
}

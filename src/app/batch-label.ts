import { codeOf } from '@/features/label/code';
import { labelBlocks, labelMissing } from '@/features/label/label-blocks';
import { layOutBest, TooMuchError } from '@/features/label/layout';
import { measureText } from '@/features/label/measure-text';
import { type BatchState, foldBatch } from '@/formats/batch-state';
import { dayOf } from '@/formats/day';
import { foldWords } from '@/formats/fold-words';
import { LABEL_SIZES, type LabelQuery, type LabelSize } from '@/formats/label';
import { cookedBatch } from '@/kitchen/cook/cook-batch';
import { labelContent } from '@/kitchen/label/label-content';
import { asMade } from '@/kitchen/record/as-made';
import { sharedDatabase } from '@/server/db/database';
import { eventsAfter, findBatch } from '@/server/repositories/batch-rows';
import { listIngredients, someIngredients } from '@/server/repositories/larder';
import { pdfLetters } from '@/ui/paper/pdf-letters';
import { kitchenSettings } from './kitchen-settings';

/** Sizes of label, the smallest first. */
const BY_AREA: readonly [LabelSize, ...LabelSize[]] = ['jar', 'shelf', 'tub'];

/** The sizes a label may have: the one that was asked for, or all. */
const sizesOf = ({ size }: LabelQuery) =>
  (size === 'best' ? BY_AREA : [size]).map((name) => ({ name, ...LABEL_SIZES[name] }));

/** What changed the label after the batch was over, and when; nothing where nothing did. */
function lateOf({ toldLate }: BatchState) {
  const changing = toldLate.filter(({ what: { kind } }) => ['add', 'weigh', 'replan', 'lost', 'poured'].includes(kind));
  const lastMs = Math.max(...changing.map(({ heardMs }) => heardMs));
  const added = changing.flatMap(({ what }) => (what.kind === 'add' ? [what.name] : []));
  return changing.length > 0 ? { ms: lastMs, added } : undefined;
}

/** The label of a batch laid out, or why it cannot be; nothing where there is no such batch, or nothing is in it. */
export async function batchLabel(id: string, query: LabelQuery) {
  const settings = await kitchenSettings();
  const { db } = await sharedDatabase();
  const found = await findBatch(db, id);
  if (!found) return undefined;
  const { head, frozen } = found;
  const cooked = cookedBatch(frozen);
  const state = foldBatch(cooked.method.followed.length, head.startedMs, await eventsAfter(db, id, 0));
  // Only what a rescue put in is looked up by its name.
  const larder =
    state.added.length > 0
      ? await listIngredients(db)
      : await someIngredients(db, Object.keys(frozen.file.ingredients));
  const byId = new Map(larder.map((each) => [each.id, each]));
  const byName = new Map(larder.map((each) => [foldWords(each.name), each]));
  // Batches from before packs were copied say nothing of them: the larder does.
  const ingredients = Object.fromEntries(
    Object.entries(frozen.file.ingredients).map(([key, own]) => {
      const known = byId.get(key);
      const madeOf = own.madeOf ?? known?.madeOf;
      const transFatG = own.transFatG ?? known?.transFatG ?? undefined;
      const cholesterolMg = own.cholesterolMg ?? known?.cholesterolMg ?? undefined;
      return [key, { ...own, ...(madeOf ? { madeOf } : {}), transFatG, cholesterolMg }];
    }),
  );
  const made = asMade(cooked, state, { ...frozen.file, ingredients }, (name) => byName.get(foldWords(name)));
  const content = labelContent(head, made, cooked.method, dayOf(head.startedMs), query, settings);
  if (!content) return undefined;
  const hasCode = query.code === 'yes' && settings.labelLink !== '';
  let laid: ReturnType<typeof layOutBest> | undefined;
  let fault: string | undefined;
  try {
    laid = layOutBest(content.name, labelBlocks(content, query), sizesOf(query), hasCode, measureText);
  } catch (error) {
    if (!(error instanceof TooMuchError)) throw error;
    fault = error.message;
  }
  const faces = laid?.faces ?? [];
  return {
    head,
    faces,
    size: laid?.size ?? BY_AREA[0],
    fault,
    missing: labelMissing(content, query),
    byLarder: content.byLarder,
    unprintable: pdfLetters(faces).missing,
    late: lateOf(state),
    /** where its code leads; empty where it has none */
    address: settings.labelLink,
    code: hasCode ? codeOf(settings.labelLink) : undefined,
  };
}

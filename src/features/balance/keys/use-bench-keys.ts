'use client';

import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { OpenFormula } from '../draft/use-formula';
import type { MaterialView } from '../material/material-card';
import { stepped } from '../pan/gram-steps';
import type { Balancing } from '../verdict/use-balancing';

const nextView: Record<MaterialView, MaterialView> = { curve: 'map', day: 'map', map: 'curve' };

/** What + and − write, with Shift or without, on the keyboards there are: a step in g, ten times it with Shift. */
const SIGN_STEPS: Readonly<Record<string, number>> = { '+': 1, '=': 1, '*': 1, '-': -1, _: -1 };

const isCommand = (event: KeyboardEvent) => event.ctrlKey || event.metaKey || event.altKey;

/**
 * The bench by keyboard. Arrows choose a row, + and − nudge it, L locks it, Delete takes it out; the rest acts on the whole.
 *
 * @param free no sheet lies over the bench
 * @returns key of the chosen row
 */
export function useBenchKeys(
  formula: OpenFormula,
  balancing: Balancing,
  actions: {
    readonly free: boolean;
    readonly save: () => void;
    readonly add: () => void;
    readonly shortcuts: () => void;
    readonly view: MaterialView;
    readonly onView: (view: MaterialView) => void;
  },
): string | undefined {
  const { draft, edit, undo, redo } = formula;
  const [chosen, setChosen] = useState<string | undefined>();
  const line = draft.lines.find(({ key }) => key === chosen);
  // Letters and signs are taken as they are written, wherever the keyboard has them.
  const enabled = { enabled: actions.free, useKey: true };
  const always = { ...enabled, enableOnFormTags: true, preventDefault: true };
  const sign = { ...enabled, ignoreModifiers: true, ignoreEventWhen: isCommand, preventDefault: true };

  const step = (by: number) => {
    const at = line ? draft.lines.indexOf(line) : by > 0 ? -1 : draft.lines.length;
    setChosen(draft.lines[Math.min(Math.max(at + by, 0), draft.lines.length - 1)]?.key);
  };
  const nudge = (by: number) => {
    if (!line) return;
    edit({ type: 'grams', key: line.key, grams: stepped(line.grams, by) });
  };

  useHotkeys('down', () => step(1), { ...enabled, preventDefault: true });
  useHotkeys('up', () => step(-1), { ...enabled, preventDefault: true });
  useHotkeys('*', (event) => nudge((SIGN_STEPS[event.key] ?? 0) * (event.shiftKey ? 10 : 1)), {
    ...sign,
    ignoreEventWhen: (event) => isCommand(event) || SIGN_STEPS[event.key] === undefined,
  });
  useHotkeys('l', () => line && edit({ type: 'lock', key: line.key }), enabled);
  useHotkeys(['delete', 'backspace'], () => line && edit({ type: 'remove', key: line.key }), enabled);
  useHotkeys(
    'enter',
    () => line && document.querySelector<HTMLInputElement>(`[data-key="${line.key}"] input`)?.focus(),
    {
      ...enabled,
      enabled: actions.free && balancing.proposal === undefined,
      ignoreEventWhen: (event) =>
        event.target instanceof HTMLButtonElement || event.target instanceof HTMLAnchorElement,
      preventDefault: true,
    },
  );
  useHotkeys('b', balancing.balance, enabled, [balancing.balance]);
  useHotkeys('enter', balancing.accept, {
    enabled: actions.free && balancing.proposal !== undefined,
    ignoreEventWhen: (event) => event.target instanceof HTMLButtonElement || event.target instanceof HTMLAnchorElement,
  });
  useHotkeys('escape', balancing.refuse, { enabled: actions.free && balancing.proposal !== undefined });
  useHotkeys('m', () => actions.onView(nextView[actions.view]), enabled);
  useHotkeys('d', () => actions.onView(actions.view === 'day' ? 'curve' : 'day'), enabled);
  useHotkeys('/', actions.add, sign);
  useHotkeys('u', undo, enabled);
  useHotkeys('r', redo, enabled);
  useHotkeys('mod+z', undo, always);
  useHotkeys(['mod+shift+z', 'mod+y'], redo, always);
  useHotkeys('mod+s', actions.save, { ...always, enabled: true });
  useHotkeys('?', actions.shortcuts, sign);
  return chosen;
}

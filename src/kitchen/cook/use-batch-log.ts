import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { BatchAnswer, BatchEvent, Happening, RefusedEvent, Told } from '@/formats/batch';
import { messageOf } from '@/formats/message-of';
import { RefusedError } from '../client/ask-server';
import { tellBatch } from '../client/batches';
import { useChanges } from '../use-changes';
import {
  keepSetAside,
  keepUntold,
  letGoOfSetAside,
  type SetAside,
  setAside,
  together,
  toldNow,
  untold,
} from './untold';

const AGAIN_MS = 3_000;
/** An answer that took longer does not set the clock, ms. */
const PROMPT_MS = 1_500;
/** Events that are told in one go. */
const MOST_AT_ONCE = 200;

/** Where the log stands with what the server keeps. */
export type LogState =
  | { readonly kind: 'kept' | 'telling' }
  /** not told yet; it is kept here, or not even that, and tried again by itself */
  | { readonly kind: 'waiting'; readonly message: string; readonly isKeptHere: boolean };

/** The server's clock, read by one of this page that nobody puts forward: a tablet's own may jump. */
function useServerClock(nowMs: number) {
  const base = useRef({ serverMs: nowMs, at: 0 });
  useEffect(() => {
    base.current = { serverMs: base.current.serverMs, at: performance.now() };
  }, []);
  const now = useCallback(
    () => base.current.serverMs + (base.current.at > 0 ? performance.now() - base.current.at : 0),
    [],
  );
  const set = useCallback((serverMs: number, askedAt: number) => {
    const at = performance.now();
    // What was long on its way says little of the time: an outage must not move a clock.
    if (at - askedAt > PROMPT_MS && base.current.at > 0) return;
    base.current = { serverMs: serverMs + (at - askedAt) / 2, at };
  }, []);
  // One object for the page's life: what is sent hangs on it.
  return useMemo(() => ({ now, set }), [now, set]);
}

/** Events with others after them, each once. */
function merged(known: readonly BatchEvent[], more: readonly BatchEvent[]): readonly BatchEvent[] {
  const last = known.at(-1)?.seq ?? 0;
  const fresh = more.filter(({ seq }) => seq > last);
  return fresh.length > 0 ? [...known, ...fresh] : known;
}

/** An event that is told and not yet acknowledged, with the server's time as this tablet reckons it. */
type Waiting = Told & { readonly serverMs: number };

/** What an earlier page could not tell; this tablet's clock says how long ago it was. */
const recalled = (id: string, nowMs: number, startedMs: number): readonly Waiting[] =>
  untold(id).map((told) => {
    const agoMs = Math.max(Date.now() - told.tabletMs, 0);
    return { ...told, serverMs: Math.max(nowMs - agoMs, startedMs) };
  });

const plain = ({ serverMs: _, ...told }: Waiting): Told => told;

/** Whether the server will never take it. */
const isRefused = (error: unknown) => error instanceof RefusedError && [400, 404, 409, 413, 422].includes(error.status);

/** The log with what is on its way, after all that is known: until the server has said when it was, this tablet's guess must not put it before what it followed. */
export function withWaiting(events: readonly BatchEvent[], waiting: readonly Waiting[]): readonly BatchEvent[] {
  const last = events.at(-1)?.seq ?? 0;
  const lastMs = events.reduce((latest, { serverMs }) => Math.max(latest, serverMs), 0);
  const isKnown = new Set(events.map(({ key }) => key));
  const own = waiting
    .filter(({ key }) => !isKnown.has(key))
    .map((told, i) => ({ ...told, seq: last + 1 + i, serverMs: Math.max(told.serverMs, lastMs) }));
  return own.length > 0 ? [...events, ...own] : events;
}

/** What the batch did not take of what this tablet told, until a cook has read it. */
function useSetAside(id: string) {
  const [aside, setHere] = useState<readonly SetAside[]>([]);
  useEffect(() => setHere(setAside(id)), [id]);
  const refuse = useCallback(
    (sent: readonly Told[], refused: readonly RefusedEvent[]) => {
      if (refused.length > 0) setHere(keepSetAside(id, sent, refused));
    },
    [id],
  );
  const letGo = useCallback(() => {
    letGoOfSetAside(id);
    setHere([]);
  }, [id]);
  return { aside, refuse, letGo };
}

/** What this page has told and nobody has acknowledged: shown at once, and kept on the tablet. */
function useOutbox(id: string) {
  const [waiting, setWaiting] = useState<readonly Waiting[]>([]);
  const mine = useRef<readonly Waiting[]>([]);
  const hold = useCallback(
    (next: readonly Waiting[], acknowledged?: ReadonlySet<string>) => {
      mine.current = next;
      setWaiting(next);
      return keepUntold(id, next.map(plain), acknowledged);
    },
    [id],
  );

  return { waiting, mine, hold };
}

/**
 * The log of a batch on this tablet: what is told is kept here at once and shown, sent until it is acknowledged, and what others tell is heard as it
 * happens.
 */
export function useBatchLog({ head: { id, startedMs }, events: opened, nowMs }: BatchAnswer) {
  const [events, setEvents] = useState<readonly BatchEvent[]>(opened);
  const { waiting, mine, hold } = useOutbox(id);
  const [state, setState] = useState<LogState>({ kind: 'kept' });
  const { aside, refuse, letGo } = useSetAside(id);
  const clock = useServerClock(nowMs);
  const known = useRef(events);
  const isSending = useRef(false);
  /** somebody told something while this was sending */
  const isMissing = useRef(false);
  const retry = useRef<ReturnType<typeof setTimeout>>(undefined);

  const send = useCallback(async () => {
    isMissing.current = isSending.current;
    if (isSending.current) return;
    isSending.current = true;
    clearTimeout(retry.current);
    // What another page of this tablet could not tell is told along: each is kept once by its key.
    const sent = together(mine.current.map(plain), untold(id)).slice(0, MOST_AT_ONCE);
    let isMore = false;
    const askedAt = performance.now();
    try {
      const answer = await tellBatch(id, known.current.at(-1)?.seq ?? 0, sent);
      clock.set(answer.nowMs, askedAt);
      known.current = merged(known.current, answer.events);
      setEvents(known.current);
      refuse(sent, answer.refused);
      const isTold = new Set(sent.map(({ key }) => key));
      const rest = mine.current.filter(({ key }) => !isTold.has(key));
      hold(rest, isTold);
      isMore = mine.current.length > 0 || isMissing.current;
      setState({ kind: mine.current.length > 0 ? 'telling' : 'kept' });
    } catch (error) {
      setState({ kind: 'waiting', message: messageOf(error), isKeptHere: hold(mine.current) });
      if (!isRefused(error)) retry.current = setTimeout(() => void send(), AGAIN_MS);
    } finally {
      isSending.current = false;
    }
    // What was told meanwhile goes next.
    if (isMore) void send();
  }, [id, clock, mine, hold, refuse]);

  useEffect(() => {
    // What an earlier page of this tablet could not tell, and what happened since this page was drawn.
    hold(recalled(id, clock.now(), startedMs));
    void send();
    return () => clearTimeout(retry.current);
  }, [id, send, hold, clock, startedMs]);
  useChanges(
    (change) => {
      if (change.what === 'batch' && change.id === id) void send();
    },
    // What happened while nobody looked is asked for.
    () => void send(),
  );

  const tell = useCallback(
    (what: Happening) => {
      hold([...mine.current, { ...toldNow(what), serverMs: clock.now() }]);
      setState((before) => (before.kind === 'waiting' ? before : { kind: 'telling' }));
      void send();
    },
    [mine, hold, send, clock],
  );

  const all = useMemo(() => withWaiting(events, waiting), [events, waiting]);
  return { events: all, state, aside, letGo, tell, now: clock.now, again: () => void send() };
}

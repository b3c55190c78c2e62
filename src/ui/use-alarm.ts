import { useCallback, useRef, useState } from 'react';
import { tabletSetting } from './tablet-setting';

const CHOICES = ['ask', 'on', 'off'] as const;
type Choice = (typeof CHOICES)[number];

const useChoice = tabletSetting<Choice>('alarm', (text) => CHOICES.find((each) => each === text), 'ask');

const NOTES_HZ = [880, 1175, 880];
const NOTE_S = 0.22;

/** Three notes, heard over a running hood. */
async function sound(context: AudioContext): Promise<void> {
  await context.resume();
  for (const [i, hertz] of NOTES_HZ.entries()) {
    const tone = context.createOscillator();
    const volume = context.createGain();
    tone.frequency.value = hertz;
    const from = context.currentTime + i * NOTE_S;
    volume.gain.setValueAtTime(0.35, from);
    volume.gain.exponentialRampToValueAtTime(0.001, from + NOTE_S);
    tone.connect(volume).connect(context.destination);
    tone.start(from);
    tone.stop(from + NOTE_S);
  }
}

/** A timer's alarm on this tablet: sound and vibration, asked for once. */
export function useAlarm() {
  const [choice, choose] = useChoice();
  const context = useRef<AudioContext | undefined>(undefined);
  /** why there is no sound, where the browser refuses it */
  const [refused, setRefused] = useState(false);
  const ring = useCallback(() => {
    navigator.vibrate?.([300, 120, 300]);
    try {
      context.current ??= new AudioContext();
      sound(context.current).then(
        () => setRefused(context.current?.state !== 'running'),
        () => setRefused(true),
      );
    } catch {
      setRefused(true);
    }
  }, []);
  return {
    choice,
    choose,
    refused,
    /** sounds, whatever was chosen: a test */
    test: ring,
    /** sounds where it was allowed */
    ring: useCallback(() => {
      if (choice === 'on') ring();
    }, [choice, ring]),
  };
}

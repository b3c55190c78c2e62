import { Camera } from 'lucide-react';
import { useRef, useState } from 'react';
import type { KeptPhoto } from '@/formats/photo';
import { sendPhoto } from '@/kitchen/client/photos';
import { Button } from './button';

const LONGEST = 120;

/** Takes photos, by the camera or a file or dropped in, each told with what it shows. */
export function PhotoEntry({ onPhoto }: { onPhoto: (photo: KeptPhoto, shows: string) => void }) {
  const input = useRef<HTMLInputElement>(null);
  const [shows, setShows] = useState('');
  const [isOver, setIsOver] = useState(false);
  const [sending, setSending] = useState(0);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const send = async (files: readonly File[]) => {
    setFaults([]);
    setSending(files.length);
    const wrong: string[] = [];
    for (const [i, file] of files.entries()) {
      try {
        onPhoto(await sendPhoto(file), shows.trim());
      } catch (error) {
        wrong.push(`${file.name}: ${error instanceof Error ? error.message : 'It was not kept.'}`);
      }
      setSending(files.length - 1 - i);
    }
    setFaults(wrong);
    if (wrong.length < files.length) setShows('');
  };
  return (
    <section
      aria-label="Photos"
      className={`mt-6 rounded-lg border border-dashed p-3 ${isOver ? 'border-enamel bg-enamel-wash' : 'border-rule'}`}
      onDragOver={(event) => {
        event.preventDefault();
        setIsOver(true);
      }}
      onDragLeave={() => setIsOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setIsOver(false);
        void send([...event.dataTransfer.files]);
      }}
    >
      <div className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-2">
        <input
          aria-label="What the photo shows"
          className="h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-3"
          placeholder="what it shows…"
          value={shows}
          maxLength={LONGEST}
          onChange={(event) => setShows(event.target.value)}
        />
        <Button className="!px-3" disabled={sending > 0} onClick={() => input.current?.click()}>
          <Camera size={17} aria-hidden="true" /> Photo
        </Button>
      </div>
      <p className="mt-1 text-[13.5px] text-mute" aria-live="polite">
        {sending > 0
          ? `Sending ${sending === 1 ? 'the photo' : `${sending} photos`}…`
          : 'Or drop one in here. Where and when it was taken is not kept in it.'}
      </p>
      {faults.map((fault) => (
        <p key={fault} role="alert" className="text-off break-words">
          {fault}
        </p>
      ))}
      <input
        ref={input}
        type="file"
        multiple
        accept="image/jpeg,image/png,image/webp"
        className="hidden"
        aria-label="Photo file"
        data-testid="photo-file"
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          void send(files);
        }}
      />
    </section>
  );
}

import { Camera } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { Button } from '../button';
import type { PhotoRing } from './photo-ring-sheet';

/** Fetched when it is opened: what reads photos is of no use before. */
const PhotoRingSheet = dynamic(() => import('./photo-ring-sheet').then((part) => part.PhotoRingSheet));

/** Opens the reading of a ring from a photo. */
export function PhotoRingButton({ onRing }: { onRing: (ring: PhotoRing) => void }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button look="bare" className="!px-0" onClick={() => setOpen(true)}>
        <Camera size={17} aria-hidden="true" /> Read it from a photo
      </Button>
      {isOpen && (
        <PhotoRingSheet
          onClose={() => setOpen(false)}
          onRing={(ring) => {
            setOpen(false);
            onRing(ring);
          }}
        />
      )}
    </>
  );
}

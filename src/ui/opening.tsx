import { TopBar } from './top-bar';

/** A page that is being opened. */
export function Opening({ what }: { what: string }) {
  return (
    <>
      <TopBar />
      <p role="status" className="p-8 text-mute">
        Opening {what}…
      </p>
    </>
  );
}

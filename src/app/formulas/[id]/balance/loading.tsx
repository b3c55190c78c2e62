import { TopBar } from '@/ui/top-bar';

export default function Loading() {
  return (
    <>
      <TopBar />
      <p role="status" className="p-8 text-mute">
        Opening the formula…
      </p>
    </>
  );
}

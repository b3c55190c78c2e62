import { Opening } from '@/ui/opening';

export default function Loading() {
  return <Opening what="a practice pan" />;
}

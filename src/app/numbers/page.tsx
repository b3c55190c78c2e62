import type { Metadata } from 'next';
import { NumbersScreen } from '@/features/numbers/numbers-screen';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'How the numbers are made' };

export default function NumbersPage() {
  return <NumbersScreen />;
}

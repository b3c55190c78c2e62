import type { Metadata } from 'next';
import { kitchenSettings } from '@/app/kitchen-settings';
import { NumbersScreen } from '@/features/numbers/numbers-screen';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'How the numbers are made' };

export default async function NumbersPage() {
  await kitchenSettings();
  return <NumbersScreen />;
}

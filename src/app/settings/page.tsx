import type { Metadata } from 'next';
import { SettingsScreen } from '@/features/settings/settings-screen';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Settings' };

export default function SettingsPage() {
  return <SettingsScreen hasDoor={process.env.DARK_POUR_DOOR === 'yes'} />;
}

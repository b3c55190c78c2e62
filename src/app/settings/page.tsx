import type { Metadata } from 'next';
import qrCode from 'qrcode';
import { SettingsScreen } from '@/features/settings/settings-screen';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Settings' };

/** Addresses other machines reach this kitchen by, each with its picture for a tablet's camera. */
async function tabletAddresses() {
  const addresses = (process.env.DARK_POUR_ADDRESSES ?? '').split(' ').filter(Boolean);
  return Promise.all(
    addresses.map(async (address) => ({
      address,
      picture: await qrCode.toDataURL(address, { margin: 2, width: 360 }),
    })),
  );
}

export default async function SettingsPage() {
  return <SettingsScreen hasLogin={process.env.DARK_POUR_LOGIN === 'yes'} addresses={await tabletAddresses()} />;
}

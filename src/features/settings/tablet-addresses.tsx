/** An address other machines reach this kitchen by, with its picture for a tablet's camera. */
export interface TabletAddress {
  readonly address: string;
  /** QR code as a data address */
  readonly picture: string;
}

/** How another tablet gets here. */
export function TabletAddresses({ addresses }: { addresses: readonly TabletAddress[] }) {
  if (addresses.length === 0) {
    return (
      <p className="py-3">
        To let tablets in, set a passcode below, then start with{' '}
        <code className="whitespace-nowrap">--host 0.0.0.0</code>.
      </p>
    );
  }
  return (
    <ul className="flex flex-wrap gap-6 py-4">
      {addresses.map(({ address, picture }) => (
        <li key={address}>
          {/* biome-ignore lint/performance/noImgElement: it is in the page already */}
          <img src={picture} alt={`QR code of ${address}`} width={180} height={180} className="rounded-lg bg-white" />
          <span className="read block pt-1 text-[0.95rem]">{address}</span>
        </li>
      ))}
    </ul>
  );
}

import { useEffect, useState } from 'react';
import { messageOf } from '@/formats/message-of';
import { type Access, changePasscode, endSession, fetchAccess } from '@/kitchen/client/access';
import { Button } from '@/ui/button';
import { EntryForm } from '@/ui/entry-form';
import { useSettings } from '@/ui/settings/settings-provider';

/** What a browser says of its tablet, as far as it tells one tablet from another. */
const DEVICES = [
  [/iPad/, 'iPad'],
  [/iPhone/, 'iPhone'],
  [/Android/, 'Android'],
  [/CrOS/, 'Chromebook'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'Mac'],
  [/Linux/, 'Linux'],
] as const;
const deviceWord = (device: string) => DEVICES.find(([form]) => form.test(device))?.[1] ?? 'A device';

/** The passcode of the kitchen, and the tablets that are logged in. */
export function AccessPart() {
  const [access, setAccess] = useState<Access | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const [said, setSaid] = useState('');
  const attempt = async (work: () => Promise<Access>, done = '') => {
    setFault(undefined);
    setSaid('');
    try {
      setAccess(await work());
      setSaid(done);
    } catch (error) {
      setFault(messageOf(error));
    }
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked once
  useEffect(() => void attempt(fetchAccess), []);
  return (
    <div className="py-3">
      {fault && (
        <p role="alert" className="mb-2 text-off">
          {fault}
        </p>
      )}
      <p role="status" className={said ? 'mb-2' : ''}>
        {said}
      </p>
      {access && (
        <>
          <Passcode
            access={access}
            onSet={(passcode) => void attempt(() => changePasscode(passcode), 'The passcode is set.')}
          />
          <Sessions access={access} onEnd={(id) => void attempt(() => endSession(id))} />
        </>
      )}
    </div>
  );
}

function Passcode({ access, onSet }: { access: Access; onSet: (passcode: string) => void }) {
  const [passcode, setPasscode] = useState('');
  if (!access.isThisMachine) {
    return <p className="text-mute">The passcode is set at the screen of the machine itself.</p>;
  }
  const set = () => {
    if (passcode === '') return;
    onSet(passcode);
    setPasscode('');
  };
  return (
    <EntryForm className="flex flex-wrap items-center gap-2" onEntry={set}>
      <label className="flex flex-wrap items-center gap-2">
        {access.hasPasscode ? 'A passcode is set. A new one:' : 'No passcode is set yet. Set one:'}
        <input
          type="password"
          aria-label="New passcode"
          autoComplete="new-password"
          className="h-11 w-56 rounded-lg border border-rule bg-field px-3"
          value={passcode}
          maxLength={200}
          onChange={(event) => setPasscode(event.target.value)}
        />
      </label>
      <Button type="submit" disabled={passcode === ''}>
        Set it
      </Button>
    </EntryForm>
  );
}

function Sessions({ access: { sessions }, onEnd }: { access: Access; onEnd: (id: string) => void }) {
  const { settings } = useSettings();
  if (sessions.length === 0) {
    return <p className="mt-2 text-mute">No tablet is logged in.</p>;
  }
  return (
    <ul className="mt-3 max-w-2xl divide-y divide-rule" aria-label="Tablets that are logged in">
      {sessions.map(({ id, device, address, sinceMs, lastMs, isOwn }) => (
        <li key={id} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
          <span className="grow">
            <strong>{deviceWord(device)}</strong> {isOwn && '(this one)'}
            <span className="block text-[13.5px] text-mute">
              {address} · since {new Date(sinceMs).toLocaleDateString(settings.numbers)} · seen{' '}
              {new Date(lastMs).toLocaleString(settings.numbers)}
            </span>
          </span>
          <Button onClick={() => onEnd(id)} aria-label={`Log out ${deviceWord(device)} at ${address}`}>
            Log out
          </Button>
        </li>
      ))}
    </ul>
  );
}

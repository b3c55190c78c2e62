'use client';

import { type ReactNode, useState } from 'react';
import { keysOf } from '@/core/keys-of';
import { CURRENCIES, type KitchenSettings, NUMBER_LOCALES, type SettingsChange } from '@/formats/settings';
import { celsius, centimetres, money, priceByWeight, weight } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { numeral } from '@/ui/settings/numerals';
import { useSettings } from '@/ui/settings/settings-provider';
import { useShowsTimers } from '@/ui/timers/due-timer';
import { TopBar } from '@/ui/top-bar';
import { KITCHEN_RULES, useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { CUP_WORDS, useCupSystem, useMeasures } from '@/ui/use-measure-system';
import { useTheme } from '@/ui/use-theme';
import { AccessPart } from './access-part';
import { BackupPart } from './backup-part';
import { MakerFields } from './maker-fields';
import { SettingChoice } from './setting-choice';
import { type TabletAddress, TabletAddresses } from './tablet-addresses';

const languages = new Intl.DisplayNames('en-GB', { type: 'language' });
const currencies = new Intl.DisplayNames('en-GB', { type: 'currency' });

const LOCALES = NUMBER_LOCALES.map((locale) => [locale, languages.of(locale) ?? locale] as const);
const MONIES = CURRENCIES.map((code) => [code, `${code}, ${currencies.of(code) ?? code}`] as const);

/** All settings in one place: those of the kitchen, which hold on every tablet, and those of this tablet. */
export function SettingsScreen({
  hasLogin,
  addresses,
}: {
  /** tablets log in with a passcode */
  hasLogin: boolean;
  addresses: readonly TabletAddress[];
}) {
  const { settings, change } = useSettings();
  const [failure, setFailure] = useState<string | undefined>();
  const set = (wanted: SettingsChange) => {
    setFailure(undefined);
    change(wanted).catch((error: Error) => setFailure(error.message));
  };
  return (
    <>
      <TopBar />
      <main className="mx-auto max-w-[860px] px-5 pt-6 pb-20">
        <h1 className="mb-4 text-[2rem]">Settings</h1>
        {failure && (
          <p role="alert" className="mb-4 rounded-lg bg-off-wash px-3 py-2 text-off">
            {failure}
          </p>
        )}
        <Part
          title="This kitchen"
          text={
            'How figures are written on every tablet. A unit typed behind a number is understood whatever is chosen here: 95\u00a0°F, 2\u00a0oz, ½\u00a0in.'
          }
        >
          <KitchenChoices settings={settings} onChange={set} />
        </Part>
        <div id="labels">
          <Part
            title="On labels"
            text="What a label says of its maker. A code leads where you set it, or there is none."
          >
            <MakerFields settings={settings} onChange={set} />
          </Part>
        </div>
        <Part
          title="Backups"
          text="Everything of the kitchen in one file; “All as a file” on the list holds the formulas alone. One a day is made by itself, beside the data folder, and kept for fourteen days; the first of each month for a year. What was here before a backup was put back is kept for thirty days."
        >
          <BackupPart />
        </Part>
        <Part
          title="Another tablet"
          text={
            addresses.length > 0
              ? 'Point its camera at an address, then type the passcode.'
              : 'Only this machine reaches this kitchen.'
          }
        >
          <TabletAddresses addresses={addresses} />
        </Part>
        <Part title="Access" text="One passcode for all tablets. A new one logs all of them out.">
          <AccessPart />
        </Part>
        <Part title="This tablet" text="What only this tablet does.">
          <TabletChoices />
          {hasLogin && (
            <div className="py-2">
              <a href="/leave" className="inline-flex min-h-11 items-center font-medium text-enamel">
                Log out this tablet
              </a>
            </div>
          )}
        </Part>
      </main>
    </>
  );
}

function Part({ title, text, children }: { title: string; text: string; children: ReactNode }) {
  return (
    <section className="mb-10" aria-label={title}>
      <h2 className="text-[1.3rem]">{title}</h2>
      <p className="mb-3 text-mute">{text}</p>
      <div className="divide-y divide-rule border-rule border-y">{children}</div>
    </section>
  );
}

function KitchenChoices({
  settings,
  onChange,
}: {
  settings: KitchenSettings;
  onChange: (change: SettingsChange) => void;
}) {
  return (
    <>
      <SettingChoice
        label="Temperatures"
        example={`a pour at ${celsius(34)}`}
        value={settings.temperature}
        options={[
          ['C', '°C'],
          ['F', '°F'],
        ]}
        onChoose={(temperature) => onChange({ temperature })}
      />
      <SettingChoice
        label="Weights"
        example={`a batch of ${weight(850)}`}
        value={settings.weight}
        options={[
          ['g', 'grams'],
          ['oz', 'ounces'],
        ]}
        onChoose={(unit) => onChange({ weight: unit })}
      />
      <SettingChoice
        label="Lengths"
        example={`a pan ${centimetres(24)} wide`}
        value={settings.length}
        options={[
          ['cm', 'mm and cm'],
          ['in', 'inches'],
        ]}
        onChoose={(length) => onChange({ length })}
      />
      <SettingChoice
        label="Numbers and money as in"
        example={numeral(1250.5, 1)}
        value={settings.numbers}
        options={LOCALES}
        onChoose={(numbers) => onChange({ numbers })}
      />
      <SettingChoice
        label="Currency"
        example={`${priceByWeight(9.5)}, ${money(0.35)} a portion. Prices are not converted`}
        value={settings.currency}
        options={MONIES}
        onChoose={(currency) => onChange({ currency })}
      />
    </>
  );
}

function TabletChoices() {
  const measures = useMeasures();
  const [cups, setCups] = useCupSystem();
  const [kitchenC, setKitchenC] = useKitchenTemperature();
  const [theme, chooseTheme] = useTheme();
  const [showsTimers, setShowsTimers] = useShowsTimers();
  return (
    <>
      <SettingChoice
        label="Beside the weight"
        example="what stands beside it in the pan"
        value={measures.system}
        options={[
          ['grams', 'nothing'],
          ['ounces', 'the other weight'],
          ['cups', 'cups, spoons and pieces'],
        ]}
        onChoose={(system) => measures.choose(system === 'cups' ? `cups ${cups}` : system)}
      />
      <SettingChoice
        label="Cups and spoons"
        example="wherever one is written, typed or pasted"
        value={cups}
        options={keysOf(CUP_WORDS).map((key) => [key, CUP_WORDS[key]] as const)}
        onChoose={setCups}
      />
      <div className="grid items-center gap-x-6 py-2 sm:grid-cols-[14rem_16rem_1fr]">
        <span className="font-medium">The kitchen is</span>
        <NumberField
          label="Kitchen temperature"
          value={kitchenC}
          rules={KITCHEN_RULES}
          write={String}
          onValue={(value) => value !== undefined && setKitchenC(value)}
        />
        <span className="text-mute">marked on the curve; a new brief begins with it</span>
      </div>
      <SettingChoice
        label="Light"
        example=""
        value={theme}
        options={[
          ['day', 'day'],
          ['night', 'night'],
        ]}
        onChoose={chooseTheme}
      />
      <SettingChoice
        label="A timer that is due"
        example="whatever page is open here"
        value={showsTimers}
        options={[
          ['on', 'fills the screen'],
          ['off', 'shows on its batch alone'],
        ]}
        onChoose={setShowsTimers}
      />
    </>
  );
}

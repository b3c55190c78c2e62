import { z } from 'zod';

/** Ways of writing numbers and money that can be chosen; each is a locale. */
export const NUMBER_LOCALES = [
  'en-GB',
  'en-US',
  'de-DE',
  'de-CH',
  'fr-FR',
  'es-ES',
  'es-MX',
  'it-IT',
  'tr-TR',
  'hi-IN',
] as const;

export type NumberLocale = (typeof NUMBER_LOCALES)[number];

/** Currencies money can be written in: a list of our own, since those that Intl knows differ from one browser to the next. */
export const CURRENCIES = [
  'EUR',
  'USD',
  'GBP',
  'CHF',
  'CAD',
  'AUD',
  'NZD',
  'SEK',
  'NOK',
  'DKK',
  'ISK',
  'PLN',
  'CZK',
  'HUF',
  'RON',
  'UAH',
  'TRY',
  'ILS',
  'AED',
  'SAR',
  'EGP',
  'MAD',
  'TND',
  'ZAR',
  'NGN',
  'KES',
  'GHS',
  'XOF',
  'INR',
  'PKR',
  'BDT',
  'LKR',
  'CNY',
  'HKD',
  'TWD',
  'JPY',
  'KRW',
  'SGD',
  'MYR',
  'THB',
  'IDR',
  'PHP',
  'VND',
  'MXN',
  'BRL',
  'ARS',
  'CLP',
  'COP',
  'PEN',
] as const;

const LONGEST_MAKER = 160;
const line = z.string().trim().max(LONGEST_MAKER, `must be at most ${LONGEST_MAKER} letters`);

/** Whether an address leads somewhere a buyer can reach: https or http, and not this machine. */
function isPublicAddress(text: string): boolean {
  if (!URL.canParse(text)) return false;
  const { protocol, hostname } = new URL(text);
  return (
    (protocol === 'https:' || protocol === 'http:') && !/^(localhost|127\.|0\.0\.0\.0|\[::1\]|\[::\])/.test(hostname)
  );
}

const link = line.refine((text) => text === '' || isPublicAddress(text), {
  error: 'must be an address that others can reach, like https://example.org',
});

/** How a kitchen writes what it measures: the same on all its tablets. What is kept is always g, °C, mm and plain numbers. */
export const settingsSchema = z.object({
  temperature: z.enum(['C', 'F'], { error: 'must be C or F' }).default('C'),
  weight: z.enum(['g', 'oz'], { error: 'must be g or oz' }).default('g'),
  length: z.enum(['cm', 'in'], { error: 'must be cm or in' }).default('cm'),
  numbers: z.enum(NUMBER_LOCALES, { error: `must be one of ${NUMBER_LOCALES.join(', ')}` }).default('en-GB'),
  /** prices are written in it; they are not converted */
  currency: z.enum(CURRENCIES, { error: 'must be a currency, like EUR' }).default('EUR'),
  /** who makes it, as labels name it */
  makerName: line.default(''),
  makerAddress: line.default(''),
  makerCountry: line.default(''),
  /** where a label's code leads; empty: labels carry none */
  labelLink: link.default(''),
});

export type KitchenSettings = z.output<typeof settingsSchema>;

export const USUAL_SETTINGS: KitchenSettings = settingsSchema.parse({});

/** Some settings, to be changed. */
export const settingsChangeSchema = z
  .strictObject({
    temperature: settingsSchema.shape.temperature.unwrap(),
    weight: settingsSchema.shape.weight.unwrap(),
    length: settingsSchema.shape.length.unwrap(),
    numbers: settingsSchema.shape.numbers.unwrap(),
    currency: settingsSchema.shape.currency.unwrap(),
    makerName: settingsSchema.shape.makerName.unwrap(),
    makerAddress: settingsSchema.shape.makerAddress.unwrap(),
    makerCountry: settingsSchema.shape.makerCountry.unwrap(),
    labelLink: settingsSchema.shape.labelLink.unwrap(),
  })
  .partial();

export type SettingsChange = z.output<typeof settingsChangeSchema>;

/**
 * The way of writing numbers nearest to what a browser asks for.
 *
 * @param languages as in the header `Accept-Language`
 */
export function localeOf(languages: string): NumberLocale | undefined {
  for (const asked of languages.split(',').map((each) => each.split(';')[0]?.trim() ?? '')) {
    const exact = NUMBER_LOCALES.find((locale) => locale.toLowerCase() === asked.toLowerCase());
    const near = NUMBER_LOCALES.find((locale) => locale.slice(0, 2) === asked.slice(0, 2).toLowerCase());
    if (exact ?? near) return exact ?? near;
  }
  return undefined;
}

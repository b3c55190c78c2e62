import type { FamilyId } from '@/core/brief/families';

/** What each family is called. */
export const FAMILY_NAMES: Readonly<Record<FamilyId, string>> = {
  'dark-ganache': 'Dark ganache',
  'firm-ganache': 'Firm dark ganache',
  'milk-ganache': 'Milk chocolate ganache',
  'white-ganache': 'White chocolate ganache',
  'gianduja-ganache': 'Gianduja ganache',
  'cream-sauce': 'Cream and cocoa sauce',
  'milk-sauce': 'Milk chocolate sauce',
  'shine-glaze': 'Shine glaze',
  'mirror-dark': 'Gelatin mirror glaze, dark',
  'mirror-white': 'Gelatin mirror glaze, white',
  'starch-sauce': 'Water sauce with starch',
  'thick-drink': 'Thick milk chocolate drink',
  'water-ganache': 'Water ganache',
  'condensed-sauce': 'Condensed milk fudge sauce',
};

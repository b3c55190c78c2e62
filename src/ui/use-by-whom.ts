import { BY_WHOM_PLACE, LONGEST_BY } from '@/kitchen/cook/by-whom';
import { tabletSetting } from './tablet-setting';

/** Who works at this tablet; empty while nobody said. */
export const useByWhom = tabletSetting<string>(BY_WHOM_PLACE, (text) => text.slice(0, LONGEST_BY), '');

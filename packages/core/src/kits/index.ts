export {
  KIT_SOON_DAYS,
  type KitNow,
  kitNow,
  type KitPartNow,
  type KitSource,
  opsForFilling,
  opsForSwapping,
  partsOfKit,
} from './kits';

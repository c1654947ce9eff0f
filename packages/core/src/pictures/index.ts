export {
  beforeAndAfter,
  fittedSize,
  opsForEndingTour,
  opsForStop,
  photosOf,
  pictureType,
  type TourNow,
  tourNow,
  tourStops,
} from './pictures';

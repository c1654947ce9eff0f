export {
  beforeAndAfter,
  fittedSize,
  openTour,
  opsForStop,
  photosOf,
  pictureType,
  type TourNow,
  tourNow,
  tourStops,
} from './pictures';

import Joi from 'joi';
import { CALENDAR_HOLDS, type CalendarHolds } from './wire';

export interface NewCalendarFeed {
  holds: CalendarHolds[];
}
export const newCalendarFeedSchema = Joi.object<NewCalendarFeed>({
  holds: Joi.array()
    .items(Joi.string().valid(...CALENDAR_HOLDS))
    .min(1)
    .unique()
    .required()
    .label('What the calendar shows'),
});

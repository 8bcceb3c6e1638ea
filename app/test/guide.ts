import { shippedGuide } from '@pause/guide';
import { takeGuide } from '../src/deciding/guide';

/** Takes the guide that ships into use, as the first screen does; import it before what reads the guide. */
takeGuide({ raw: shippedGuide() });

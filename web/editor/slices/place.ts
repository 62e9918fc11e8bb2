import { keptView } from '../kept-view';
import { placeOfAddress, type Place } from '../view-state';
import type { Opened } from '../opened';
import type { Slice } from './slice';

/** What an address does not say is as it was when the model was looked at last. */
function placeAt({ id }: Opened, search: string): Place {
  const place = placeOfAddress(search);
  const { quantity, stages } = keptView(id);
  return {
    ...place,
    quantity: place.quantity ?? quantity,
    switches: { ...stages?.[place.stage], ...place.switches },
  };
}

/** What one chooses to look at, one after the other: it stands in the address. */
export const placeSlice: Slice<Place> = {
  redraws: 'at once',
  begin: {
    stage: (opened, search) => placeAt(opened, search).stage,
    acting: (opened, search) => placeAt(opened, search).acting,
    quantity: (opened, search) => placeAt(opened, search).quantity,
    also: (opened, search) => placeAt(opened, search).also,
    less: () => undefined,
    switches: (opened, search) => placeAt(opened, search).switches,
    beside: (opened, search) => placeAt(opened, search).beside,
  },
};

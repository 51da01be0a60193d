import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';
import type { Slot, Template } from './template';

/** On which days of its kind a place of a template can't be filled. */
export const slotFitQuery = (schoolId: string, template: Template, part: Schemas['PartKind'], slot: Slot) =>
  queryOptions({
    queryKey: ['slot-fit', schoolId, template.day, template.minutes, part, slot.kinds, slot.items],
    staleTime: Infinity,
    placeholderData: keepPreviousData,
    queryFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/templates/fit', {
          params: { path: { schoolId } },
          body: { day: template.day, minutes: template.minutes, part, slot },
        }),
      ),
  });

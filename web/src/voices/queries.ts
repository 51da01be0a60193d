import { queryOptions } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';

export type Voice = Schemas['VoiceView'];

/** The school's recordings, without their sounds. */
export const voicesQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['voices', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/voices', { params: { path: { schoolId } } })),
  });

/** Where a recording's sound is. */
export const soundAt = (schoolId: string, voiceId: string) => `/api/schools/${schoolId}/voices/${voiceId}/sound`;

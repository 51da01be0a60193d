import type { Schemas } from '../api/client';

export type Role = Schemas['Role'];

export const ROLES: readonly Role[] = ['teacher', 'helper', 'head', 'lead'];

/** Who sees all groups needs none given to them. */
export const seesAll = (role: Role) => role === 'lead' || role === 'head';

/** Who changes something; others only look. */
export const mayChange = (role: Role) => role === 'lead' || role === 'teacher';

import { saidText } from '$core/text/schema';
import * as z from 'zod';
import { ROLES } from './roles';

/** What travels about people, checked on arrival. */
export const NameSchema = z.strictObject({
  name: saidText(60).trim().min(1, 'a name is needed')
});
export const RoleSchema = z.strictObject({ role: z.enum(ROLES) });
export const TokenSchema = z.strictObject({ token: z.string().min(1).max(100) });
export const SwitchSchema = z.strictObject({ crewId: z.uuid() });

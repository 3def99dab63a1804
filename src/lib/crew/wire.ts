import { saidText } from '$core/text/schema';
import * as z from '$core/text/zod';
import { ROLES } from './roles';

/** What travels about people, checked on arrival. */
export const NameSchema = z.strictObject({
  name: saidText(60).check(z.trim(), z.minLength(1, 'a name is needed'))
});
export const RoleSchema = z.strictObject({ role: z.enum(ROLES) });
export const TokenSchema = z.strictObject({ token: z.string().check(z.minLength(1), z.maxLength(100)) });
export const SwitchSchema = z.strictObject({ crewId: z.uuid() });

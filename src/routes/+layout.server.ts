import { asLengthUnit } from '$core/units/lengths';
import type { LayoutServerLoad } from './$types';

/** What somebody has chosen for everything that is shown here. */
export const load: LayoutServerLoad = ({ cookies }) => ({ lengths: asLengthUnit(cookies.get('lengths')) });

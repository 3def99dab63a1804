import type { Edit, Plan } from '$core/plan/schema';

/** What a dialog for one part of a line, a device or a cable, is given. */
export interface PartDialogProps {
  readonly plan: Plan;
  readonly id: string;
  readonly lineName: string;
  readonly onedit: (edit: Edit | null) => void;
  readonly onclose: () => void;
}

/** What an open line shows below its levels; null for its findings and remedies. */
export type Panel = 'hum' | 'contacts' | 'tolerance' | null;

import { z } from 'zod';
import { askServer } from './ask-server';

const accessSchema = z.object({
  hasPasscode: z.boolean(),
  /** this page is at the screen of the machine itself */
  isThisMachine: z.boolean(),
  sessions: z.array(
    z.object({
      id: z.string(),
      device: z.string(),
      address: z.string(),
      sinceMs: z.number(),
      lastMs: z.number(),
      isOwn: z.boolean(),
    }),
  ),
});
export type Access = z.output<typeof accessSchema>;

/** Who may reach the kitchen, and which tablets are logged in. */
export async function fetchAccess(): Promise<Access> {
  return accessSchema.parse(await askServer('/api/access', 'GET'));
}

/** Sets the passcode, at the machine itself; every tablet logs in anew. */
export async function changePasscode(passcode: string): Promise<Access> {
  return accessSchema.parse(await askServer('/api/access/passcode', 'PUT', { passcode }));
}

/** Logs a tablet out. */
export async function endSession(id: string): Promise<Access> {
  return accessSchema.parse(await askServer(`/api/access/sessions/${id}`, 'DELETE'));
}

import { listStaff } from '@/db/queries/staff';
import type { House } from './house';

/** Names to choose from when signing in. */
export const staffNames = async (house: House): Promise<string[]> => (await listStaff(house.db)).map((one) => one.name);
export const staffList = (house: House) => listStaff(house.db);

/** Each worker has a server of its own, so that specs that run side by side see no orders of one another. */
import { test as plain } from '@playwright/test';
import { demoAddress } from './servers';

export const test = plain.extend({
  baseURL: async ({}, give, { parallelIndex }) => give(demoAddress(parallelIndex)),
});
export {
  expect,
  type APIRequestContext,
  type Browser,
  type Locator,
  type Page,
  type Request,
  type Response,
} from '@playwright/test';

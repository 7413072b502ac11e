/** Each worker has servers of its own, so that specs that run side by side see no orders of one another. */
import { test as plain } from '@playwright/test';
import { shopAddress, demoAddress } from './servers';

export const test = plain.extend<{ shopOfOwn: string }>({
  // eslint-disable-next-line no-empty-pattern
  baseURL: async ({}, use, { parallelIndex }) => use(demoAddress(parallelIndex)),
  /** A shop that is still to be set up. */
  // eslint-disable-next-line no-empty-pattern
  shopOfOwn: async ({}, use, { parallelIndex }) => use(shopAddress(parallelIndex)),
});
export { expect, type APIRequestContext, type Browser, type Locator, type Page } from '@playwright/test';

/** Each worker has servers of its own, so that specs that run side by side see no orders of one another. */
import { test as plain } from '@playwright/test';
import { shopAddress, demoAddress } from './servers';

export const test = plain.extend<{ shopOfOwn: string }>({
  baseURL: async ({}, give, { parallelIndex }) => give(demoAddress(parallelIndex)),
  /** A shop that is still to be set up. */
  shopOfOwn: async ({}, give, { parallelIndex }) => give(shopAddress(parallelIndex)),
});
export { expect, type APIRequestContext, type Browser, type Locator, type Page } from '@playwright/test';

import type { Locator, Page } from '@playwright/test';

/** Types a day and a time, "2026-11-25T12:00", into a field that says the day first. */
export async function typeMoment(page: Page, label: string, local: string): Promise<void> {
  const [year, month, day, hours, minutes] = local.split(/[-T:]/) as [string, string, string, string, string];
  await page.getByRole('group', { name: label }).getByRole('spinbutton', { name: 'Day' }).click();
  await page.keyboard.type(day + month + year + hours + minutes);
}

/** Types a time of the day, "23:15". It is kept when the field is left. */
export async function typeTime(within: Locator, label: string, time: string): Promise<void> {
  await within.getByRole('group', { name: label }).getByRole('spinbutton', { name: 'Hours' }).click();
  await within.page().keyboard.type(time.replace(':', ''));
}

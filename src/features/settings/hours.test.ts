import { describe, expect, it } from 'vitest';
import { USUAL_SETTINGS } from '@/contract/settings';
import { readHours, readWeek, typedWeek } from './hours';

describe('opening hours as they are typed', () => {
  it.each([
    ['9-17', ['09:00', '17:00']],
    ['9:00–17:30', ['09:00', '17:30']],
    [' 10 to 18.15 ', ['10:00', '18:15']],
    ['closed', null],
    ['', null],
    ['9', undefined],
    ['9-25', undefined],
    ['9:75-17', undefined],
    ['nine to five', undefined],
  ])('%j', (text, read) => {
    expect(readHours(text)).toEqual(read);
  });

  it('come back as they were shown', () => {
    const read = readWeek(typedWeek(USUAL_SETTINGS.open));
    expect('week' in read && read.week).toEqual(USUAL_SETTINGS.open);
  });

  it('stand wrong beside their day, whatever the others are', () => {
    const read = readWeek({ ...typedWeek(USUAL_SETTINGS.open), tue: '17-9', thu: 'late' });
    expect('wrong' in read && read.wrong.map(({ code, path }) => [code, path])).toEqual([
      ['hours-backwards', 'tue'],
      ['time-wrong', 'thu'],
    ]);
  });

  it('are never closed all week', () => {
    const never = Object.fromEntries(Object.keys(USUAL_SETTINGS.open).map((day) => [day, '']));
    const read = readWeek(never as ReturnType<typeof typedWeek>);
    expect('wrong' in read && read.wrong.map(({ code }) => code)).toEqual(['never-open']);
  });
});

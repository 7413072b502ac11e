/** What the panel of tabs must carry. */
export const panelOf = (id: string, value: string | number) =>
  ({ role: 'tabpanel', id: `${id}-panel`, 'aria-labelledby': `${id}-tab-${value}` }) as const;

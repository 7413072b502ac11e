/** Letters that are looked for anywhere in a name: fewer are in nearly every one. A number is looked for at once. */
const LETTERS = 3;
export const worthAsking = (text: string): boolean => text.trim().length >= LETTERS || /\d/.test(text);

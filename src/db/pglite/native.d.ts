declare module 'fs-native-extensions' {
  /** Takes the kernel's lock on an open file; false when another open file has it. Throws where there are no locks. */
  export function tryLock(fd: number): boolean;
}

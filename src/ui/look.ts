/** Where this browser keeps whether it shows light, dark, or what the system says. */
export const LOOK_KEY = 'lopren-look';

export { DeskScreen } from './desk';
export { AgreedOrder } from './agreed';

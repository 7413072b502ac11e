/** Every command and the use case behind it. */
import type { Handlers } from '../door';
import { finalCheck, handOver, hold, moveStep, release } from './bench';
import { importMouldings, setGroupRule } from './books';
import { confirmPlan, spoilCut, undoPlan } from './cutting';
import { askCard, cardAnswer, reversePayment, takeCash } from './money';
import { acceptOrder, cancelOrder, saveQuote } from './orders';
import { addCustomer, addStaff, setUpShop } from './people';
import { importRack, putRackPiece, removeRackPiece, setStock } from './rack';

export const handlers: Handlers = {
  'set-up-shop': setUpShop,
  'add-staff': addStaff,
  'add-customer': addCustomer,
  'save-quote': saveQuote,
  'accept-order': acceptOrder,
  'cancel-order': cancelOrder,
  'take-cash': takeCash,
  'ask-card': askCard,
  'card-answer': cardAnswer,
  'reverse-payment': reversePayment,
  'move-step': moveStep,
  'final-check': finalCheck,
  hold,
  release,
  'hand-over': handOver,
  'import-mouldings': importMouldings,
  'set-group-rule': setGroupRule,
  'put-rack-piece': putRackPiece,
  'remove-rack-piece': removeRackPiece,
  'set-stock': setStock,
  'import-rack': importRack,
  'confirm-plan': confirmPlan,
  'undo-plan': undoPlan,
  'spoil-cut': spoilCut,
};

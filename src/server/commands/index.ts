/** Every command and the use case behind it. */
import type { Handlers, Readyings } from '../door';
import { answerQuestion, linkAccept, linkAsk, linkChoose, linkPay, makeLink, takeLinkBack } from './links';
import { finalCheck, hold, moveStep, moveSteps, release } from './bench';
import { changeOrder, readyChangeOrder } from './changes';
import { addCustomer, editCustomer, forget, importCustomers, mergeCustomers } from './customers';
import { changeSheets, setGroupRule, setPrices, takeBackEdition } from './books';
import { dropHouse, keepHouseDesign } from './house';
import { importList, readyImport, readyUndo, undoEdition } from './lists';
import { openAgain, recordBuilt } from './built';
import { confirmPlan, readyPlan, spoilCut, undoPlan } from './cutting';
import { handOver } from './hand-over';
import { askCard, cardAnswer, dropCard, reversePayment, takeCash, takeTransfer, takeVoucher } from './money';
import { acceptOrder, reQuote, readyQuote, saveQuote } from './orders';
import {
  addStaff,
  changePin,
  endSessions,
  reAdmitPerson,
  readyChange,
  readyPin,
  readySetUp,
  removePerson,
  setLimit,
  setUpShop,
} from './people';
import { readyTakeIn, signRecord, takeIn } from './records';
import { cutPlanDone } from './plan-done';
import { importRack, putRackPiece, removeRackPiece, setStock } from './rack';
import { cancelOrder, readyRefund, refund, writeOff } from './refunds';
import { changeSettings } from './settings';
import {
  addTill,
  bookPayout,
  changeTerms,
  countTill,
  moveCash,
  openTill,
  readyCount,
  reverseEntry,
  sealTill,
  useTill,
} from './till';
import { sellVoucher } from './vouchers';

export const handlers: Handlers = {
  'set-up-shop': setUpShop,
  'add-staff': addStaff,
  'change-pin': changePin,
  'set-discount-limit': setLimit,
  'remove-person': removePerson,
  're-admit-person': reAdmitPerson,
  'end-sessions': endSessions,
  'change-settings': changeSettings,
  'add-customer': addCustomer,
  'edit-customer': editCustomer,
  'merge-customers': mergeCustomers,
  'forget-customer': forget,
  'import-customers': importCustomers,
  'take-in': takeIn,
  'sign-record': signRecord,
  'save-quote': saveQuote,
  're-quote': reQuote,
  'accept-order': acceptOrder,
  'make-link': makeLink,
  'withdraw-link': takeLinkBack,
  'answer-question': answerQuestion,
  'keep-house-design': keepHouseDesign,
  'drop-house-design': dropHouse,
  'link-choose': linkChoose,
  'link-ask': linkAsk,
  'link-accept': linkAccept,
  'link-pay': linkPay,
  'change-agreed': changeOrder,
  'cancel-order': cancelOrder,
  'take-cash': takeCash,
  'take-transfer': takeTransfer,
  'take-voucher': takeVoucher,
  'sell-voucher': sellVoucher,
  refund,
  'write-off': writeOff,
  'add-till': addTill,
  'use-till': useTill,
  'open-till': openTill,
  'move-cash': moveCash,
  'reverse-entry': reverseEntry,
  'count-till': countTill,
  'seal-till': sealTill,
  'book-payout': bookPayout,
  'change-terms': changeTerms,
  'ask-card': askCard,
  'drop-card': dropCard,
  'card-answer': cardAnswer,
  'reverse-payment': reversePayment,
  'move-step': moveStep,
  'move-steps': moveSteps,
  'record-built': recordBuilt,
  'open-again': openAgain,
  'final-check': finalCheck,
  hold,
  release,
  'hand-over': handOver,
  'import-list': importList,
  'undo-edition': undoEdition,
  'set-group-rule': setGroupRule,
  'set-prices': setPrices,
  'change-sheets': changeSheets,
  'withdraw-edition': takeBackEdition,
  'put-rack-piece': putRackPiece,
  'remove-rack-piece': removeRackPiece,
  'set-stock': setStock,
  'import-rack': importRack,
  'confirm-plan': confirmPlan,
  'undo-plan': undoPlan,
  'cut-plan-done': cutPlanDone,
  'spoil-cut': spoilCut,
};

/** What some commands make ready before their transaction. */
export const readyings: Readyings = {
  'set-up-shop': readySetUp,
  'add-staff': readyPin,
  're-admit-person': readyPin,
  'change-pin': readyChange,
  'import-list': readyImport,
  'undo-edition': readyUndo,
  refund: readyRefund,
  'save-quote': readyQuote,
  'change-agreed': readyChangeOrder,
  'count-till': readyCount,
  'confirm-plan': readyPlan,
  'take-in': readyTakeIn,
};

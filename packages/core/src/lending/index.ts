export {
  loanOf,
  loanOfLot,
  loanOfNook,
  loansOut,
  opsForBringingBack,
  opsForLending,
  opsForGoingOut,
  opsForUsedOfKit,
  overdueDays,
  type Waiting,
  waitingIn,
} from './out';

export {
  orderProblems,
  troubleAdvice,
  windowOn,
  type MotionWindow,
  type Order,
  type OrderPhase,
  type OrderProblem,
  type Trouble,
} from './order';

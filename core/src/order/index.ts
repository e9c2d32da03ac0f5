export {
  heightNames,
  orderProblems,
  troubleAdvice,
  windowOn,
  type HeightName,
  type MotionWindow,
  type Order,
  type OrderPhase,
  type OrderProblem,
  type Trouble,
} from './order';

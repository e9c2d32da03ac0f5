export {
  fault,
  filled,
  faultAt,
  faultSays,
  formOf,
  rule,
  type EntryFault,
  type FaultCode,
  type FaultParams,
} from './fault';
export { schemaFault } from './schema-fault';

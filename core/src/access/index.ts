export { may, permissions, roles, type Permission, type Role } from './roles';
export { languages, type Language } from './language';

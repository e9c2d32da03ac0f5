export { may, permissions, roles, type Permission, type Role } from './roles';

import { Navigate, useLocation } from 'react-router';

/**
 * Leads on to another address, from every arrival anew: one that is pressed again while the way there is still being fetched
 * would else end where there is nothing.
 */
export const LeadTo = ({ to }: { to: string }) => <Navigate key={useLocation().key} to={to} replace />;

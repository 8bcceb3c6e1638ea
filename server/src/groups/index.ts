export { NewGroup, NewInvitation, InvitationCode, NewReview, RoleChange } from './bodies';
export { type GroupView, groupView, groupViews } from './view';
export { withReviews, signReview, unsignReview } from './reviews';
export { putGroup, makeGroup } from './making';
export { settleGroups } from './rules';
export { invite, type InvitationView, invitationsOf, revokeInvitation, accept } from './invitations';
export { leave, leaveAll, changeRole } from './members';

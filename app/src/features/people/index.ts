export { DemoDoor } from './DemoDoor';
export { GroupScreen } from './GroupScreen';
export { JoinScreen } from './JoinScreen';
export { NotebookScreen } from './NotebookScreen';
export { SignInScreen } from './SignInScreen';

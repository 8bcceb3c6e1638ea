export { DemoDoor } from './DemoDoor';
export { GroupScreen } from './GroupScreen';
export { JoinScreen } from './JoinScreen';
export { NotebookScreen } from './NotebookScreen';
export { SignInScreen } from './SignInScreen';
export { AskScreen } from '../second/AskScreen';
export { SecondLookScreen } from '../second/SecondLookScreen';
export { TogetherScreen } from '../second/TogetherScreen';

import { actorOf } from '../../access';
import {
  accept,
  changeRole,
  groupView,
  InvitationCode,
  invitationsOf,
  invite,
  leave,
  makeGroup,
  NewGroup,
  NewInvitation,
  NewReview,
  revokeInvitation,
  RoleChange,
  signReview,
  unsignReview,
} from '../../groups';
import { confusionOfGroup } from '../../groups/confusion';
import { body } from '../body';
import { parameter } from './parameters';
import type { Add, Services } from './types';

/** Groups, invitations and reviews. */

export function groupRoutes(services: Services, add: Add): void {
  addGroups(services, add);
  addInvitations(services, add);
  addReviews(services, add);
  addMembers(services, add);
}

function addGroups({ db, guide }: Services, add: Add): void {
  add('post', '/groups', 'person', async (request, response, actor) => {
    const made = body(NewGroup, request);
    response
      .status((await makeGroup(db, actor, made)) ? 201 : 200)
      .json(await groupView(db, await actorOf(db, actor.person), made.id));
  });
  add(
    'get',
    '/groups/:group',
    'member',
    async (request, response, actor) =>
      void response.json(await groupView(db, actor, parameter(request, 'group'))),
  );
  add(
    'get',
    '/groups/:group/confusion',
    'keeper',
    async (request, response) =>
      void response.json(await confusionOfGroup(db, guide, parameter(request, 'group'))),
  );
}

function addInvitations({ db }: Services, add: Add): void {
  add('post', '/groups/:group/invitations', 'keeper', async (request, response, actor) => {
    response
      .status(201)
      .json(await invite(db, actor, parameter(request, 'group'), body(NewInvitation, request)));
  });
  add(
    'get',
    '/groups/:group/invitations',
    'keeper',
    async (request, response) =>
      void response.json({ invitations: await invitationsOf(db, parameter(request, 'group')) }),
  );
  add('delete', '/groups/:group/invitations/:invitation', 'keeper', async (request, response, actor) => {
    await revokeInvitation(db, actor, parameter(request, 'group'), parameter(request, 'invitation'));
    response.status(204).end();
  });
  add(
    'post',
    '/invitations/accept',
    'person',
    async (request, response, actor) => {
      const { group } = await accept(db, actor, body(InvitationCode, request));
      response.json(await groupView(db, await actorOf(db, actor.person), group));
    },
    'guessable',
  );
}

function addReviews({ db, guide }: Services, add: Add): void {
  add('post', '/groups/:group/reviews', 'keeper', async (request, response, actor) => {
    await signReview(db, actor, parameter(request, 'group'), body(NewReview, request), guide);
    response.status(201).json(await groupView(db, actor, parameter(request, 'group')));
  });
  add('delete', '/groups/:group/reviews/:taxon', 'keeper', async (request, response, actor) => {
    await unsignReview(db, actor, parameter(request, 'group'), parameter(request, 'taxon'));
    response.status(204).end();
  });
}

function addMembers({ db }: Services, add: Add): void {
  add('patch', '/groups/:group/members/:person', 'keeper', async (request, response, actor) => {
    await changeRole(
      db,
      actor,
      parameter(request, 'group'),
      parameter(request, 'person'),
      body(RoleChange, request),
    );
    response.json(await groupView(db, await actorOf(db, actor.person), parameter(request, 'group')));
  });
  // A member may leave; only a keeper may remove somebody else.
  add('delete', '/groups/:group/members/:person', 'member', async (request, response, actor) => {
    await leave(db, actor, parameter(request, 'group'), parameter(request, 'person'));
    response.status(204).end();
  });
}

import { answer, jsonOf, problem, ref, type Json } from '../http/openapi-words.js';

/* What is said of these routes in the OpenAPI document. */

const idIn = (name: string): Json => ({ name, in: 'path', required: true, schema: { type: 'string' } });
const object = { type: 'object' } as const;
const refused = { 401: problem('It is not right.'), 429: problem('It was wrong too often, or asked too often.') };

export const getSession: Json = {
  summary: 'How whoever asks stands: who is at this device, who has signed in on it, whether anybody has to',
  responses: { 200: answer('How it stands.', object) },
};
export const postSession: Json = {
  summary: 'Sign in with a name and its passphrase; the device is known again by its cookie',
  requestBody: { required: true, content: jsonOf(ref('SignIn')) },
  responses: { 200: answer('How it stands now.', object), ...refused },
};
export const deleteSession: Json = {
  summary: 'Whoever is at this device signs out of it',
  responses: { 200: answer('How it stands now.', object) },
};
export const postFirst: Json = {
  summary: 'Make the first person of a shop; on a network with the code that the server said when it started',
  requestBody: { required: true, content: jsonOf(ref('FirstPerson')) },
  responses: { 201: answer('How it stands now.', object), 409: problem('There are people already.'), ...refused },
};
export const postJoin: Json = {
  summary: 'Let this device in by a code, once',
  requestBody: { required: true, content: jsonOf(ref('JoinShed')) },
  responses: { 200: answer('How it stands now.', object), ...refused },
};
export const postPerson: Json = {
  summary: 'Take over this device: with the PIN, or in one touch where it was given today',
  requestBody: { required: true, content: jsonOf(ref('TakeOver')) },
  responses: { 200: answer('How it stands now.', object), ...refused },
};
export const getPeople: Json = {
  summary: 'The people of the shop',
  responses: { 200: answer('All of them.', { type: 'array' }) },
};
export const postPeople: Json = {
  summary: 'Make a person; for those who lead',
  requestBody: { required: true, content: jsonOf(ref('NewPerson')) },
  responses: {
    201: answer('The person.', object),
    403: problem('It is for those who lead.'),
    409: problem('The name is taken.'),
  },
};
export const putPeopleOne: Json = {
  summary: 'Change somebody: what they may do, their passphrase or PIN, put out or let in again; for those who lead',
  parameters: [idIn('person')],
  requestBody: { required: true, content: jsonOf(ref('PersonChange')) },
  responses: {
    200: answer('The person.', object),
    403: problem('It is for those who lead.'),
    404: problem('Nobody of that id.'),
    422: problem('Nobody would be left who leads.'),
  },
};
export const getDevices: Json = {
  summary: 'The devices that were let in; for those who lead',
  responses: { 200: answer('All of them.', { type: 'array' }), 403: problem('It is for those who lead.') },
};
export const deleteDevicesOne: Json = {
  summary: 'Put a device out; for those who lead',
  parameters: [idIn('device')],
  responses: { 204: { description: 'It is out.' }, 403: problem('It is for those who lead.') },
};
export const postInvitations: Json = {
  summary: 'A code that lets one device in, once, within ten minutes; for those who lead',
  responses: { 201: answer('The code.', object), 403: problem('It is for those who lead.') },
};

import { Hono } from 'hono';
import { linkDraft, personChange, personDraft } from '../../contract/people.ts';
import { finding, refusal } from '../../refusals/refusal.ts';
import { requireFound } from '../answers.ts';
import type { AppContext } from '../app-context.ts';
import { invalid, notFound } from '../problems.ts';
import { digestOf, newToken, secretOf } from '../secret.ts';
import { body } from './validated.ts';

/** People who come into a garden under names of their own, links for those who only look, and who wrote what. */
export const peopleRoutes = ({ stores, newId }: AppContext) => {
  const gardenAt = (gardenId: string) => requireFound(stores.gardens.find(gardenId), 'garden');
  return new Hono()
    .get('/gardens/:gardenId/people', (c) =>
      c.json({ people: stores.people.listOf(gardenAt(c.req.param('gardenId')).id) }, 200),
    )
    .post('/gardens/:gardenId/people', body(personDraft), async (c) => {
      const { id: gardenId } = gardenAt(c.req.param('gardenId'));
      const { id = newId(), passphrase, ...draft } = c.req.valid('json');
      const secret = await secretOf(passphrase);
      if (stores.people.findByName(draft.name)) {
        throw invalid([finding(refusal('nameTaken', { got: draft.name }), 'name')]);
      }
      return c.json(stores.people.insert({ ...draft, id, gardenId }, secret), 201);
    })
    .post('/gardens/:gardenId/links', body(linkDraft), (c) => {
      const { id: gardenId } = gardenAt(c.req.param('gardenId'));
      const token = newToken();
      const { name } = c.req.valid('json');
      const person = stores.people.insertLink({ id: newId(), gardenId, name }, digestOf(token));
      return c.json({ person, path: `/look/${token}` }, 201);
    })
    .put('/people/:personId', body(personChange), async (c) => {
      const { id } = requireFound(stores.people.find(c.req.param('personId')), 'person');
      const { role, passphrase } = c.req.valid('json');
      const secret = passphrase === undefined ? undefined : await secretOf(passphrase);
      const change = { ...(role ? { role } : {}), ...(secret ? { secret } : {}) };
      return c.json(requireFound(stores.people.change(id, change), 'person'), 200);
    })
    .delete('/people/:personId', (c) => {
      if (!stores.people.remove(c.req.param('personId'))) throw notFound('person');
      return c.body(null, 204);
    })
    .get('/gardens/:gardenId/signatures', (c) =>
      c.json({ signatures: stores.people.signaturesOf(gardenAt(c.req.param('gardenId')).id) }, 200),
    );
};

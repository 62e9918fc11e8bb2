import { unfit } from '@rigid-beam/core/model/edits/unfit';
import type { Notice } from '@rigid-beam/core/model/notice';
import { database } from '../db/database';
import * as repository from '../db/project-repository';
import { newId } from './new-id';

export async function createProject(name: string, number = ''): Promise<string> {
  const id = newId();
  await repository.insertProject(await database(), id, name, number);
  return id;
}

/** Another name or number; false where there is no such project. */
export async function changeProject(id: string, part: { readonly name?: string; readonly number?: string }): Promise<boolean> {
  return repository.changeProject(await database(), id, part);
}

/** Takes an empty project away; reasons where it holds models still. */
export async function removeProject(id: string): Promise<readonly Notice[]> {
  if (await repository.deleteProject(await database(), id)) return [];
  return [
    unfit('project', 'The project is not there, or holds models, some of them perhaps removed', 'Move or remove them first'),
  ];
}

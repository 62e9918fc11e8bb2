import type { Model } from '@rigid-beam/core/model/model';
import type { Column, Row } from './column';
import type { ScheduleList } from '../editor/slices/page';
import type { ScheduleKind } from './list';
import { loadList } from './load-list';
import { materialList } from './material-list';
import { memberList } from './member-list';
import { nodeList } from './node-list';
import { sectionList } from './section-list';
import { supportList } from './support-list';

export type { ScheduleList } from '../editor/slices/page';

/** Every list that has a schedule. */
export const schedules: Readonly<Record<ScheduleList, ScheduleKind>> = {
  nodes: nodeList,
  members: memberList,
  sections: sectionList,
  materials: materialList,
  supports: supportList,
  loads: loadList,
};

export const columnsOf = (model: Model, list: ScheduleList): readonly Column[] => schedules[list].columns(model);
export const rowsOf = (model: Model, list: ScheduleList): Row[] => schedules[list].rows(model);

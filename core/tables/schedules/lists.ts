import { combinationList } from './combination-list';
import { loadList } from './load-list';
import { materialList } from './material-list';
import { memberList } from './member-list';
import { nodeList } from './node-list';
import { sectionList } from './section-list';
import { supportList } from './support-list';
import type { ScheduleKind } from './list';

/** Lists of the model that have a schedule. */
export const scheduleLists = ['nodes', 'members', 'sections', 'materials', 'supports', 'loads', 'combinations'] as const;
export type ScheduleList = (typeof scheduleLists)[number];

/** Every list that has a schedule. */
export const schedules: Readonly<Record<ScheduleList, ScheduleKind>> = {
  nodes: nodeList,
  members: memberList,
  sections: sectionList,
  materials: materialList,
  supports: supportList,
  loads: loadList,
  combinations: combinationList,
};

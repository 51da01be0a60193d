import audit from '../../../text/en-GB/audit.json';
import children from '../../../text/en-GB/children.json';
import groups from '../../../text/en-GB/groups.json';
import ladder from '../../../text/en-GB/ladder.json';
import marks from '../../../text/en-GB/marks.json';
import people from '../../../text/en-GB/people.json';
import planning from '../../../text/en-GB/planning.json';
import school from '../../../text/en-GB/school.json';
import texts from '../../../text/en-GB/texts.json';
import { messages } from './en-GB';
import './lessons';

Object.assign(messages, audit, children, groups, ladder, marks, people, planning, school, texts);

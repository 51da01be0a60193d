import { text, textOf } from '../text/text';
import type { Day } from './queries';

const FILES = ['slides.pptx', 'plan.docx', 'plan.docx?say=true', 'home.docx', 'words.csv'] as const;

/** Files for other programs. */
export function FilesTab({ day }: { day: Day }) {
  return (
    <ul className="list-unstyled d-grid gap-2">
      {FILES.map((file) => (
        <li key={file} className="panel d-flex flex-wrap justify-content-between align-items-center gap-3">
          <span>
            <strong>{textOf('file', nameOf(file))}</strong>
            <br />
            <span className="quiet">{textOf('fileHelp', nameOf(file))}</span>
          </span>
          <a
            className="btn btn-outline-primary"
            download
            href={`/api/schools/${day.schoolId}/groups/${day.groupId}/files/${day.date}/${file}`}
          >
            {text('file.get')}
          </a>
        </li>
      ))}
    </ul>
  );
}

const nameOf = (file: string) => (file.includes('say') ? 'plan-say' : file.split('.')[0]!);

import { RichTextEditor } from '@mantine/tiptap';
import { useEditor } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import '@mantine/tiptap/styles.css';

interface NoteEditorProps {
  readonly label: string;
  /** HTML; the editor keeps of it what it knows. */
  readonly html: string;
  readonly editable: boolean;
  readonly onChange: (html: string) => void;
}

const EMPTY = '<p></p>';

/** A note with headings, lists and emphasis. */
export function NoteEditor({ label, html, editable, onChange }: NoteEditorProps) {
  const editor = useEditor({
    extensions: [StarterKit.configure({ link: false, code: false, codeBlock: false })],
    content: html,
    editable,
    editorProps: { attributes: { 'aria-label': label, role: 'textbox', 'aria-multiline': 'true' } },
    onUpdate: ({ editor: changed }) => {
      const next = changed.getHTML();
      onChange(next === EMPTY ? '' : next);
    },
  });
  return (
    <RichTextEditor
      editor={editor}
      styles={{
        root: { backgroundColor: 'var(--jr-surface)' },
        toolbar: { backgroundColor: 'var(--jr-surface)' },
        content: { backgroundColor: 'var(--jr-surface)' },
      }}
    >
      {editable && (
        <RichTextEditor.Toolbar>
          <RichTextEditor.ControlsGroup>
            <RichTextEditor.Bold />
            <RichTextEditor.Italic />
            <RichTextEditor.BulletList />
            <RichTextEditor.OrderedList />
          </RichTextEditor.ControlsGroup>
        </RichTextEditor.Toolbar>
      )}
      <RichTextEditor.Content />
    </RichTextEditor>
  );
}

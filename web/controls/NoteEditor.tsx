import { RichTextEditor } from '@mantine/tiptap';
import { useEditor } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { useEffect, useRef } from 'react';
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
  const told = useRef(html);
  const editor = useEditor({
    extensions: [StarterKit.configure({ link: false, code: false, codeBlock: false })],
    content: html,
    editable,
    editorProps: { attributes: { 'aria-label': label, role: 'textbox', 'aria-multiline': 'true' } },
    onUpdate: ({ editor: changed }) => {
      const next = changed.getHTML();
      told.current = next === EMPTY ? '' : next;
      onChange(told.current);
    },
  });
  // The note of a moment ago may stand first, kept on the device, and the newer one come after it.
  useEffect(() => {
    if (html === told.current) return;
    told.current = html;
    editor.commands.setContent(html, { emitUpdate: false });
  }, [editor, html]);
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

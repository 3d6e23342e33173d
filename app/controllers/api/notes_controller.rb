# Notes on segments and files of a project, and the questions to the client among them.
module Api
  class NotesController < BaseController
    takes segment_id: :id, document_id: :id, text: :text, kind: :text, answer: :text, settled: :flag,
      deleted: :flag

    def index
      notes = project.notes.there.includes(:document, :segment)
      answer(NoteResource.new(notes.sort_by { |note| place(note) }))
    end

    # params: segment_id or document_id; text; kind.
    def create
      given = params.permit(:segment_id, :document_id, :text, :kind)
      raise Glossema::Refused.new("note-empty") if given[:text].to_s.strip.empty?

      on = given[:segment_id] ? project.segments.find(given[:segment_id]) : document(given[:document_id])
      note = Note.add(on, given[:text], by: current_user, kind: given[:kind] || "note")
      tell_all(note)
      answer(NoteResource.new(note), status: :created)
    end

    # params: text, kind, answer, settled; deleted: false brings it back.
    def update
      given = params.permit(:text, :kind, :answer, :settled, :deleted)
      raise Glossema::Refused.new("note-empty") if given.key?(:text) && given[:text].strip.empty?

      Note.transaction { change(given) }
      tell_all(note)
      answer(NoteResource.new(note))
    end

    # It can be brought back.
    def destroy
      note.update!(deleted_at: Time.current)
      tell_all(note)
      head :no_content
    end

    private

    def note = @note ||= Note.where(project: current_user.projects).find(params[:id])
    def document(id) = project.documents_of_any_role.find(id)

    def change(given)
      note.update!(given.slice(:text, :kind))
      note.answer_with(given[:answer].to_s, by: current_user.name) if given.key?(:answer)
      note.update!(settled_at: given[:settled] ? Time.current : nil) if given.key?(:settled)
      note.update!(deleted_at: nil) if given[:deleted] == false
    end

    # In the order of the text, those of a file before those of its segments.
    def place(note)
      [note.document&.position || 0, note.segment&.position || 0, note.id]
    end

    def tell_all(note) = note.project.announce("notes")
  end
end

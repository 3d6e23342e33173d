# The picture of a concept.
module Api
  class TermPicturesController < BaseController
    takes file: :file

    def show
      raise ActiveRecord::RecordNotFound unless entry.image.attached?

      send_data entry.image.download, type: entry.image.content_type, disposition: "inline"
    end

    # params: file
    def update
      entry.take_image(uploads(:file).first)
      answer(TermEntryResource.new(entry))
    end

    def destroy
      entry.image.purge
      answer(TermEntryResource.new(entry))
    end

    private

    def entry
      @entry ||= reached_in(TermEntry.there, :termbase, Termbase, params[:term_entry_id])
    end
  end
end

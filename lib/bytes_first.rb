# The bytes of a file are on the disk, and its blob in the database, before anything is attached: while a
# record is saved others wait for the database, and a file may be large. A server that is killed between the
# two leaves bytes or a blob that nothing names, never a name without its bytes. Goes before Active Storage's
# `attach`.
module BytesFirst
  class << self
    # A blob of a file. io, filename and what else ActiveStorage::Blob.create_and_upload! knows.
    def store(io:, filename:, identify: false, **more)
      blob = ActiveStorage::Blob.build_after_unfurling(io: io, filename: filename, identify: identify, **more)
      blob.upload_without_unfurling(io)
      blob.tap(&:save!)
    end

    # The same of anything that can be attached; what is a blob already stays one.
    def stored(attachable)
      case attachable
      when Hash then attachable.key?(:io) ? store(**attachable) : attachable
      when ActionDispatch::Http::UploadedFile
        store(io: attachable.open, filename: attachable.original_filename,
          content_type: attachable.content_type, identify: true)
      else attachable
      end
    end
  end

  def attach(*attachables)
    super(*attachables.flatten.map { |attachable| BytesFirst.stored(attachable) })
  end
end

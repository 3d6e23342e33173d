# When the last good backup was made, which are kept, and one made now.
module Api
  class BackupsController < BaseController
    rate_limit to: 3,
      within: 10.minutes,
      only: :create,
      with: -> { refuse("too-many", status: :too_many_requests, minutes: "ten") }

    def show
      folder = Backup.folder(GlossemaApp::DATA)
      render json: { folder: folder.to_s, kept: Backup.kept, failed: Backup.failure(folder),
                     backups: Backup.list(folder).map { |one| one.slice("at", "bytes", "files", "records") } }
    end

    def create
      BackupJob.perform_later
      head :accepted
    end
  end
end

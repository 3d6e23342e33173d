# When the last good backup was made, which are kept, and one made now.
module Api
  class BackupsController < BaseController
    before_action :require_owner
    limits to: 3, minutes: 10, only: :create

    def show
      folder = Backup.folder(GlossemaApp::DATA)
      render json: { folder: folder.to_s, kept: Backup.kept, failed: Backup.failure(folder),
                     backups: Backup.list(folder).map { |one| one.slice("at", "bytes", "files", "records") } }
    end

    def create
      BackupJob.perform_later
      head :accepted
    end

    private

    def require_owner
      refuse("not-owner", status: :forbidden) unless current_user.owner?
    end
  end
end

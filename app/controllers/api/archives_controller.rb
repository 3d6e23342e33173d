# A whole project as one file, see Exporting.
module Api
  class ArchivesController < BaseController
    def show = export(Operations::ArchiveExport, project)
  end
end

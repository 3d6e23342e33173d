# A whole project as one file.
module Api
  class ArchivesController < BaseController
    def show
      archive = ProjectArchive::Out.new(project)
      send_data archive.bytes, filename: archive.name, type: "application/zip"
    end
  end
end

# What is handed back of a project that came as a hand-over, see Exporting.
module Api
  class HandBacksController < BaseController
    def show
      HandOver::Back.new(project)
      export(Operations::HandBackExport, project)
    end
  end
end

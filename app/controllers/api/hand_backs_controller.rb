# What is handed back of a project that came as a hand-over.
module Api
  class HandBacksController < BaseController
    def show
      back = HandOver::Back.new(project)
      send_data back.bytes, filename: back.name, type: "application/zip"
    end
  end
end

# What the checks found, as a workbook.
module Api
  class CheckReportsController < BaseController
    XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet".freeze

    def show
      Project::CheckRun.new(project).look_at_few
      report = Project::CheckReport.new(project)
      send_data report.xlsx, filename: report.name, type: XLSX
    end
  end
end

# Makes a backup of everything, in a process of its own so that nobody waits who types meanwhile. Why one
# failed stands beside the others.
class BackupJob < ApplicationJob
  PROGRAM = Rails.root.join("bin/glossema").to_s
  LOG = Rails.root.join("log/backup.log").to_s

  limits_concurrency to: 1, key: "backup", duration: 2.hours

  def perform
    environment = GcSettings::ENVIRONMENT.merge("GLOSSEMA_DATA" => GlossemaApp::DATA.to_s)
    system(environment, RbConfig.ruby, PROGRAM, "backup", out: [LOG, "a"], err: [LOG, "a"])
  end
end

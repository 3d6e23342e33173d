# What the disk of the server refuses is said, and not called a fault of the program: it can go in later.
module FailingDisk
  extend ActiveSupport::Concern

  FULL = [SQLite3::FullException, Errno::ENOSPC, Errno::EDQUOT].freeze
  REFUSING = [
    SQLite3::ReadOnlyException, SQLite3::IOException, SQLite3::CantOpenException,
    Errno::EROFS, Errno::EACCES, Errno::EPERM, Errno::EIO
  ].freeze

  included do
    rescue_from(*[*FULL, *REFUSING].select { |kind| kind < SystemCallError }) { |error| say_of_disk(error) }
    rescue_from(ActiveRecord::StatementInvalid) { |error| say_of_disk(error.cause) || raise(error) }
  end

  private

  # Answers nil where it is nothing of the disk.
  def say_of_disk(error)
    case error
    when *FULL then refuse("disk-full", status: 507)
    when *REFUSING then refuse("disk-refuses", status: 507)
    end
  end
end

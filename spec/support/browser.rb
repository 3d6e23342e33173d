# A real browser on the real interface. Jobs run in threads of the same process, on a database that is emptied
# after each.
require "capybara/rspec"
require "selenium-webdriver"
require "tmpdir"

Selenium::WebDriver::Chrome::Service.driver_path = "/usr/bin/chromedriver"

# The driver tells of an element that went away between two questions as "unknown error" too: it is asked
# again, like any stale one, until the time for waiting is over.
class Chromium < Capybara::Selenium::Driver
  def invalid_element_errors = super + [Selenium::WebDriver::Error::UnknownError]
end

Capybara.register_driver(:chromium) do |app|
  options = Selenium::WebDriver::Chrome::Options.new(binary: "/usr/bin/chromium")
  %w[
    --headless --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
    --disable-component-update --disable-sync --window-size=1280,800 --force-prefers-reduced-motion
  ].each { |argument| options.add_argument(argument) }
  options.add_argument("--user-data-dir=#{Dir.mktmpdir}")
  options.add_preference("download.default_directory", Browsing::DOWNLOADS)
  Chromium.new(app, browser: :chrome, options: options)
end
Capybara.server = :puma, { Silent: true }
Capybara.default_max_wait_time = 12
Capybara.enable_aria_label = true

module Browsing
  DOWNLOADS = Dir.mktmpdir("downloads")
  TABLES = %w[
    sign_ins outgoing_requests remote_answers remote_sources remote_keys server_projects client_servers
    shares alignments
    review_passages review_changes notes review_rounds ignored_findings checked_segments machine_requests
    machine_answers machine_services user_words
    term_candidates term_entry_versions translation_unit_versions operations
    terms term_entries attached_termbases termbases
    quotes reports rate_cards trash_items detached_translations
    delivered_files deliveries versions segments documents
    attachments_of_memories translation_units memory_postings memory_parts
    memory_fresh memories projects clients users active_storage_attachments active_storage_blobs
  ].freeze

  # Signed in by the server itself, and at an address of the application. The form has specs of its own.
  def sign_in(user, to: "/")
    visit "/up"
    wanted = { email: user.email, password: "cargo-bicycle" }
    status = page.evaluate_async_script(<<~JS, wanted)
      fetch('/api/session', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(arguments[0]),
      }).then((answer) => arguments[1](answer.status))
    JS
    raise "Not signed in: #{status}" unless status == 200

    visit to
    expect(page).to have_css(".today h1") if to == "/"
  end

  # Keys as a person presses them, with the modifiers held, and no faster than a fast hand.
  def press(*keys)
    sleep 0.04
    action = page.driver.browser.action
    *held, last = keys
    held.each { |key| action.key_down(key) }
    action.send_keys(last)
    held.reverse_each { |key| action.key_up(key) }
    action.perform
  end

  def type(text) = page.driver.browser.action.send_keys(text).perform
  def card = find(".card")
  def editor = find(".card [role=textbox]")

  # The text of the open segment as it is written, without what stands palely after it.
  def written = page.evaluate_script(<<~JS)
    (() => {
      const copy = document.querySelector('.card [role=textbox]').cloneNode(true)
      copy.querySelectorAll('.pale-offer, .offers').forEach((one) => one.remove())
      return copy.textContent
    })()
  JS

  def on_disk(segment) = Segment.uncached { Segment.find(segment.id) }

  def eventually(seconds = 12)
    deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
    begin
      yield
    rescue RSpec::Expectations::ExpectationNotMetError
      raise if Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline

      sleep 0.1
      retry
    end
  end

  def network(offline:)
    page.driver.browser.network_conditions = { offline: offline, latency: 0, throughput: -1 }
  end

  # What axe finds wrong with the page as it is.
  def faults
    unless page.evaluate_script("typeof window.axe === 'object'")
      page.execute_script(File.read(Rails.root.join("node_modules/axe-core/axe.min.js")))
    end
    result =
      page.evaluate_async_script(
        "const done = arguments[0]; axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa'] " \
          "}).then(done)"
      )
    result["violations"].map do |fault|
      [
        fault["id"],
        fault["nodes"]
          .first(3)
          .map { |node| "#{node["target"].join(" ")}: #{node["failureSummary"].lines[1].to_s.strip}" }
      ]
    end
  end
end

RSpec.configure do |config|
  config.include Browsing, type: :system
  config.example_status_persistence_file_path =
    Rails.root.join("tmp/test#{ENV.fetch("TEST_ENV_NUMBER", "")}/examples.txt")
  # Processes of their own see what a spec made: nothing of it stands in a transaction.
  config.include(
    Module.new { def self.included(group) = group.use_transactional_tests = false },
    type: :system
  )
  config.before(:each, type: :system) do
    FileUtils.rm_f(Dir[File.join(Browsing::DOWNLOADS, "*")])
    driven_by(:chromium)
    ActiveJob::Base.queue_adapter = ActiveJob::QueueAdapters::AsyncAdapter.new(min_threads: 1, max_threads: 2)
  end
  config.after(:each, type: :system) do
    page.driver.browser.delete_network_conditions
    Capybara.reset_sessions!
    Operation.under_way.find_each(&:cancel)
    ActiveJob::Base.queue_adapter.shutdown(wait: true) if ActiveJob::Base.queue_adapter.respond_to?(:shutdown)
    ActiveJob::Base.queue_adapter = :test
    Browsing::TABLES.each { |table| ActiveRecord::Base.connection.execute("DELETE FROM #{table}") }
  end
end

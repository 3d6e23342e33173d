# The texts of the interface, for what leaves as a file and calls things as the screen does:
# "interface.states.draft".
folder = File.expand_path("../../frontend/shared/texts", __dir__)
Dir[File.join(folder, "{*,letters/*}.json")].to_h do |path|
  [File.basename(path, ".json").to_sym, { interface: JSON.parse(File.read(path), symbolize_names: true) }]
end

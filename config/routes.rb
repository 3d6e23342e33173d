# The API, the cable, and one page for every other address: the interface routes those itself.
Rails.application.routes.draw do
  namespace :api, defaults: { format: :json } do
    resource :session, only: %i[show create destroy]
    resources :users, only: :create
    resource :today, only: :show, controller: "today"
    resource :settings, only: :update
    resource :account, only: %i[update destroy]
    resource :second_factor, only: %i[show create update destroy], controller: "second_factor"
    resource :backup, only: %i[show create]
    resources :sign_ins, only: %i[index destroy]
    resources :password_resets, only: %i[create update]
    resources :formats, only: :index
    resource :rules, only: %i[show update destroy]
    resources :rule_trials, only: :create
    resources :clients, only: %i[index show create update destroy] do
      resource :logo, only: %i[show update destroy]
      resource :rules, only: %i[show update destroy]
      resources :rule_trials, only: :create
      resource :check_profile, only: %i[show create update destroy]
      resources :check_trials, only: :create
      resources :servers, only: %i[index create], controller: "client_servers"
    end
    resources :client_servers, only: %i[update destroy]
    resources :offers, only: %i[index update]
    resources :rate_cards, only: %i[index create update destroy]
    resources :templates, only: :index
    resources :hand_overs, only: :create
    resources :quick_counts, only: %i[create update]
    resources :reports, only: %i[index show update]
    resources :quotes, only: %i[index show create update]
    resources :reference_files, only: %i[show destroy]
    resource :pace, only: :show
    resources :trash_items, only: %i[index update]
    resources :shares, only: %i[index update destroy]
    resources :invitations, only: :show
    resources :remote_keys, only: :destroy
    resources :remote_trials, only: :create
    resources :remote_sources, only: %i[create update] do
      resource :trial, only: :create, controller: "remote_trials"
      resource :concordance, only: :show, controller: "remote_concordances"
    end
    resources :memories, only: %i[index show create update destroy] do
      resource :exchange, only: %i[show create], controller: "memory_exchanges"
      resources :shares, only: %i[index create]
      resources :remote_keys, only: %i[index create]
      resource :table, only: :create, controller: "memory_tables"
      resources :units, only: :index, controller: "translation_units"
      resource :facets, only: :show
      resource :tidy, only: :show
      resources :operations, only: :index
      resources :changes, only: :create, controller: "unit_changes"
    end
    resources :termbases, only: %i[index show create update destroy] do
      resources :entries, only: %i[index create], controller: "term_entries"
      resources :shares, only: %i[index create]
      resources :remote_keys, only: %i[index create]
      resource :deletion, only: :create, controller: "term_deletions"
      resource :edits, only: :create, controller: "term_edits"
      resource :exchange, only: %i[show create], controller: "term_exchanges"
      resource :table, only: :create, controller: "term_tables"
      resources :operations, only: :index
      resources :candidates, only: %i[index create], controller: "term_candidates"
    end
    resources :term_entries, only: %i[show update] do
      resources :versions, only: :index, controller: "term_versions"
      resource :picture, only: %i[show update destroy], controller: "term_pictures"
    end
    resources :term_candidates, only: :update
    resources :alignments, only: %i[index show create update destroy] do
      resource :edits, only: %i[create update destroy], controller: "alignment_edits"
      resource :gift, only: :create, controller: "alignment_gifts"
    end
    resource :machine_ledger, only: :show
    resources :machine_services, only: %i[index create update destroy] do
      post :try, on: :member
    end
    resource :machine_comparison, only: :create
    resources :units, only: %i[show update], controller: "translation_units"
    resources :projects, only: %i[index show create update destroy] do
      resource :beginning, only: :create
      resource :readiness, only: :show, controller: "readiness"
      resource :rules, only: %i[show update destroy]
      resources :rule_trials, only: :create
      resources :exceptions, only: :create
      resources :documents, only: :create
      resources :templates, only: :create
      resources :reports, only: :create
      resources :reference_files, only: %i[index create]
      resources :segments, only: :index
      resource :segmentation_preview, only: :create
      resources :operations, only: :index
      resource :pretranslation, only: %i[create update]
      resource :replacements, only: %i[show create]
      resource :concordance, only: :show
      resource :remote_concordance, only: :show, controller: "remote_searches"
      resources :terms, only: :create
      resource :term_places, only: :show
      resource :spelling, only: %i[show create update destroy]
      resources :deliveries, only: %i[index create]
      resource :delivery_differences, only: :show, controller: "delivery_differences"
      resources :notes, only: %i[index create]
      resource :segment_filter, only: :show
      resource :findings, only: :update
      resources :findings, only: :index
      resources :ignored_findings, only: :create
      resource :check_run, only: :create
      resources :check_marks, only: :index
      resources :unifications, only: :create
      resource :check_profile, only: %i[show create update destroy]
      resources :check_trials, only: :create
      resource :check_report, only: :show
      resources :misspellings, only: :index
      resources :similar_segments, only: :index
      resources :memory_rivals, only: :index
      resource :post_editing, only: :show, controller: "post_editing"
      resource :question_sheet, only: %i[show create]
      resources :review_rounds, only: %i[index create]
      resource :review_sheet, only: :create
      resource :division, only: :show
      resource :hand_back, only: :show
      resource :archive, only: :show
    end
    resources :documents, only: %i[update destroy] do
      resource :page, only: :show
      resource :cues, only: :show
      resource :film, only: %i[show create destroy]
      resource :finished_file, only: :show
      resource :reading, only: %i[create destroy]
      resource :version, only: %i[show create update destroy], controller: "versions_of_files"
    end
    resources :operations, only: %i[index show update] do
      resource :file, only: :show, controller: "operation_files"
    end
    resources :pending_answers, only: :show
    resources :segments, only: %i[show update] do
      resources :proposals, only: :index
      resource :terms, only: :show, controller: "segment_terms"
      resource :completion_context, only: :show
      resource :remote_proposals, only: :show
      resource :machine, only: :show, controller: "machine_proposals"
      resource :findings, only: %i[show create], controller: "segment_findings"
      resources :versions, only: %i[index create]
      resource :cut, only: %i[create destroy]
      resource :line_breaks, only: :create
      resource :times, only: :update
      resource :sentence, only: %i[show create]
      resource :repeats, only: %i[create destroy]
    end
    resources :deliveries, only: :show do
      resource :outgoing_request, only: :create
    end
    resources :review_rounds, only: %i[show update destroy] do
      resources :decisions, only: :create, controller: "review_decisions"
      resources :passages, only: %i[index update]
      resources :remarks, only: :create
    end
    resources :notes, only: %i[update destroy]
    resources :remarks, only: %i[update destroy]
    resources :ignored_findings, only: :destroy
    resources :delivered_files, only: :show
  end
  # What others reach by keys: docs/protocol.md.
  match "/remote/v1(/*path)", to: "remote/service#answer", via: %i[get post], format: false
  get "/up", to: "shell#up"
  # Asked for by browsers on their own: it begins no session.
  get "/favicon.ico", to: redirect("/mark.svg")
  get "*path",
    to: "shell#show",
    constraints: ->(request) { !request.path.start_with?("/api", "/cable", "/vite", "/remote/") }
  root "shell#show"
end

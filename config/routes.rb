Rails.application.routes.draw do
  root to: redirect("/bench")

  get "bench" => "bench#show"
  resource :day, only: :show, path: "bench/day" do
    resource :night, only: :show, module: :days
    resource :sheet, only: :show, module: :days, defaults: { format: :pdf }
  end
  resources :entries, only: :create do
    resource :settling, only: :create, module: :entries
  end
  resources :faults, only: %i[index show]
  resource :patch, only: :show

  resource :plan, only: :show, path: "pieces/plan" do
    scope module: :plans do
      resource :goals, only: :show
      resource :chance, only: :show
      resource :acceptance, only: :create, path: "accept"
      resource :search, only: %i[create destroy]
    end
  end
  resource :area, only: %i[show create], path: "pieces/area" do
    resource :piece, only: %i[create update], module: :areas
  end
  resource :size, only: :show, path: "pieces/size"
  get "pieces/levels" => "pieces/levels#index"
  get "pieces/compare" => "comparisons#show"
  get "pieces/compare/chances" => "comparisons/chances#show"

  resource :file, only: :create, path: "pieces/book/file", module: :templates
  resources :templates, only: %i[index show create update destroy], path: "pieces/book" do
    scope module: :templates do
      resource :preview, only: :create
      resource :application, only: :create
    end
  end

  resources :jobs, only: :update do
    resource :handover, only: :show
  end
  resources :guest_links, only: %i[create destroy], path: "links"
  scope "guest/:token", controller: "guests" do
    get "", action: :show, as: :guest
    get "photo", action: :photo, as: :guest_photo
    post "approval", action: :create, as: :guest_approval
  end

  resource :file, only: :create, path: "pieces/file", module: :pieces, as: :piece_file
  resource :file, only: :create, path: "boards/file", module: :boards, as: :board_file
  resources :pieces, only: %i[index new create edit update] do
    resource :handover, only: :show
    resources :photos, only: :index, module: :pieces
    resource :removal, only: %i[create destroy], module: :pieces
    resource :past_work, only: :create, module: :pieces
    resource :class_given, only: %i[show create], path: "class", module: :pieces, controller: :class_given do
      resource :removal, only: %i[create destroy], module: :class_given
    end
    resource :proposals, only: %i[show create], path: "ways", module: :pieces do
      scope module: :proposals do
        resource :choice, only: :create
        resource :looks, only: :show
        resource :trial, only: :create
      end
    end
    resource :quote, only: %i[show create], module: :pieces do
      resource :given, only: :create, module: :quotes
    end
    resource :schedule, only: :show do
      scope module: :schedules do
        resource :preview, only: :create, path: "what_if"
        resource :foresight, only: :create, path: "ahead"
        resources :what_ifs, only: :index
        resources :remedies, only: :index
        resources :new_steps, only: :index
        resource :chance, only: :show
        resource :looks, only: :show
        resources :edits, only: :create
        resource :undo, only: :create
        resource :redo, only: :create
        resources :revisions, only: :index, path: "history"
        resource :file, only: :show
        resource :sheet, only: :show, defaults: { format: :pdf }
      end
    end
  end

  resources :photos, only: %i[create show destroy] do
    scope module: :photos do
      resource :thumb, only: :show
      resource :colour, only: :create
    end
  end
  resource :colour, only: %i[show create], path: "boards/colour" do
    resource :step, only: %i[show create], module: :colours
  end
  resource :preview, only: :create, path: "trials/preview", module: :trials
  get "trials/base/:piece_id" => "trials/bases#show"
  resources :trials, only: %i[new create update]
  resources :boards, only: %i[index new create show] do
    scope module: :boards do
      resources :picks, only: :create
      resources :readings, only: %i[index create]
      resources :quick_readings, only: :create, path: "quick"
      resource :sheet, only: :show
      resource :file, only: :show
      resource :label, only: :show
      resource :verdict, only: :create
      resource :making, only: :create
    end
    resources :cells, only: :update do
      scope module: :cells do
        resource :approval, only: %i[show create]
        resource :photo_colour, only: :create
        resources :readings, only: :create
        resource :measurement, only: :create, path: "measure"
        resource :promotion, only: :create
        resource :promotion_preview, only: :create
      end
    end
  end

  resource :preview, only: :create, path: "mix/preview", module: :mixes
  resources :mixes, only: %i[index show create], path: "mix" do
    scope module: :mixes do
      resources :pours, only: :create
      resource :correction, only: :create, path: "take_back"
      resource :way, only: :create
      resource :finish, only: :create
      resource :discard, only: :create
      resource :sheet, only: :show, defaults: { format: :pdf }
    end
  end

  resource :shop, only: :show do
    scope module: :shops do
      resource :calendar, only: :show, defaults: { format: :ics }
      resource :settings, only: %i[show update]
      resource :hours, only: :create
      resources :people, only: :create, path: "person" do
        resource :account, only: %i[update destroy]
      end
      resources :tools, only: :create, path: "tool"
      resource :goal, only: :create
      resource :house_rules, only: :create, path: "house"
      resources :judgements, only: :create
      resources :rooms, only: :create, path: "room"
      resources :instruments, only: %i[create update destroy]
      resource :archive, only: :show
      resource :audit, only: :show
      resource :doctor, only: :show, path: "backups/doctor"
      resource :drill, only: %i[show create], path: "backups/drill"
      resources :backups, only: %i[index create] do
        post "restore", on: :member
      end
      resource :logger_file, only: :create, path: "rooms/:room_id/logger"
    end
  end

  resources :instrument_presses, only: [], path: "instruments" do
    post "press" => "instrument_presses#create", on: :member
  end
  resources :instrument_readings, only: %i[index create], path: "readings"
  resource :record, only: :show do
    scope module: :records do
      resource :figures, only: %i[show create destroy]
      resource :paces, only: :create
      resource :recurrence, only: :show, path: "recurs"
      resource :hours, only: :show
    end
  end

  resource :shelf, only: :show, controller: "shelf"
  scope module: :products do
    resource :export, only: :show, path: "products/export"
    resource :import, only: :create, path: "products/import"
    resource :defaults, only: :show, path: "products/defaults"
  end
  resources :products, only: %i[show new create update destroy] do
    resource :retirement, only: %i[create destroy], module: :products
    resource :optics, only: %i[create destroy], module: :products
  end
  resource :box, only: :create, path: "batches/box", module: :batches
  resources :batches, only: %i[show create update] do
    resource :label, only: :show, module: :batches
  end
  resources :consumables, only: %i[create update]

  resources :timbers, only: %i[create update]

  resource :sums, only: %i[show create]
  resource :over, only: %i[show create], path: "shelf/over"
  get "handbook(/:id)" => "handbook#show", as: :handbook

  resource :scale, only: :show do
    scope module: :scales do
      resource :zero, only: :create
      resource :hand, only: :create
    end
  end

  resource :confirmation, only: %i[show create], path: "confirm"
  resource :sign_in, only: %i[show create destroy], controller: "sessions"
  resource :hands, only: :create, controller: "hands"
  resource :me, only: %i[show update destroy], controller: "people/mine"
  resource :second_step, only: %i[create update destroy], path: "me/second", controller: "people/second_steps"
  resource :first_owner, only: %i[show create], path: "begin/owner"

  resources :page_faults, only: :create
  get "up" => "health#show"
  get "service-worker.js" => "workers#show"
  resource :absence, only: :show, path: "away"
  resource :first_shop, only: %i[show create], path: "begin"
  resource :first_archive, only: :create, path: "begin/archive"
  match "*path", to: "application#missing", via: :all
end

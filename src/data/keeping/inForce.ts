/** What every edge set cut: log by log as somebody corrected it last, and what was said beside the logs. */
const CUT = `select coalesce(a.edge_set_id, u.edge_set_id) as edge_set_id, j.material_id, l.parts, coalesce(k.minutes, u.minutes) as minutes,
    case when k.use_id is null then u.holes else k.holes end as holes, case when k.use_id is null then u.cut_mm else k.cut_mm end as cut_mm,
    u.lower_bound and k.use_id is null as lower_bound, u.rpm
  from use u join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id join operation o on o.id = l.operation_id
  join job j on j.id = o.job_id
  left join (select x.use_id, x.edge_set_id from use_assignment x join live_entry xe on xe.id = x.entry_id) a on a.use_id = u.id
  left join (select distinct on (x.use_id) x.* from use_corrected x join live_entry xe on xe.id = x.entry_id order by x.use_id, x.entry_id desc) k
    on k.use_id = u.id
  where coalesce(a.edge_set_id, u.edge_set_id) is not null
  union all
  select s.edge_set_id, s.material_id, 0, coalesce(s.minutes, 0), s.holes, s.cut_mm, s.minutes is null, null
  from use_said s join live_entry e on e.id = s.entry_id`;

/**
 * What every edge set cut by each recipe: the one its T was planned to run by at the time, or that was kept from what the same
 * program had run with.
 */
const RAN = `select coalesce(a.edge_set_id, u.edge_set_id) as edge_set_id, coalesce(k.minutes, u.minutes) as minutes, coalesce(
    (select p.recipe_id from tool_plan p join live_entry pe on pe.id = p.entry_id where p.operation_id = l.operation_id and p.t = u.t
       and (pe.happened_at, pe.id) <= (e.happened_at, e.id) order by pe.happened_at desc, pe.id desc limit 1),
    (select r.id from recipe r join tool_plan p on p.recipe_id = r.id and p.entry_id = r.entry_id join live_entry pe on pe.id = p.entry_id
     where p.operation_id = l.operation_id and p.t = u.t and l.program_id = (select g.entry_id from program g join live_entry ge on ge.id = g.entry_id
       where g.operation_id = l.operation_id and (ge.happened_at, ge.id) <= (pe.happened_at, pe.id) order by ge.happened_at desc, ge.id desc limit 1)
     order by pe.happened_at desc, pe.id desc limit 1)) as recipe_id
  from use u join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id
  left join (select x.use_id, x.edge_set_id from use_assignment x join live_entry xe on xe.id = x.entry_id) a on a.use_id = u.id
  left join (select distinct on (x.use_id) x.* from use_corrected x join live_entry xe on xe.id = x.entry_id order by x.use_id, x.entry_id desc) k
    on k.use_id = u.id
  where coalesce(a.edge_set_id, u.edge_set_id) is not null`;

/**
 * What is kept as in force must be what the ledger says when it is summed anew. The right hand of each pair asks the ledger
 * alone. Asked of a copy of the whole shop each night, and after random acts by a test.
 */
export const IN_FORCE: readonly [name: string, kept: string, summed: string][] = [
  [
    'assemblies that stand, their newest measurement and the one that counts',
    'select assembly_id, piece_id, edge_set_id, newest_id, good_id from assembly_now order by 1',
    `with judged as (
       select m.assembly_id, m.entry_id, e.happened_at, jsonb_array_length(m.questions) as questions, v.accepted
       from measurement m join live_entry e on e.id = m.entry_id
       left join lateral (select x.accepted from verdict x join live_entry xe on xe.id = x.entry_id where x.measurement_id = m.entry_id
         order by xe.happened_at desc, xe.id desc limit 1) v on true)
     select a.id as assembly_id, a.piece_id, a.edge_set_id,
       (select j.entry_id from judged j where j.assembly_id = a.id and j.accepted is not false order by j.happened_at desc, j.entry_id desc limit 1) as newest_id,
       (select j.entry_id from judged j where j.assembly_id = a.id and (j.accepted or (j.questions = 0 and j.accepted is null))
        order by j.happened_at desc, j.entry_id desc limit 1) as good_id
     from assembly a join live_entry e on e.id = a.entry_id
     where not exists (select 1 from take_down t join live_entry te on te.id = t.entry_id where t.assembly_id = a.id) order by 1`,
  ],
  [
    'ties',
    'select operation_id, t, assembly_id, entry_id from tie_now order by 1, 2',
    `select distinct on (x.operation_id, x.t) x.operation_id, x.t, x.assembly_id, x.entry_id from tie x join live_entry e on e.id = x.entry_id
     order by x.operation_id, x.t, e.happened_at desc, e.id desc`,
  ],
  [
    'operations with parts made, program and figures',
    'select operation_id, job, number, due, quantity, state, parts_made, program_id, figures_id, machine_id, open from operation_now order by 1',
    `select x.*, x.parts_made < x.quantity and x.state = 'open' as open from (
       select o.id as operation_id, j.number as job, o.number, coalesce(c.due, j.due) as due, coalesce(c.quantity, j.quantity) as quantity,
         coalesce(c.state, 'open') as state,
         coalesce((select sum(l.parts)::int from parts_log l join live_entry le on le.id = l.entry_id where l.operation_id = o.id), 0) as parts_made,
         (select p.program_id from program_of p join live_entry pe on pe.id = p.entry_id where p.operation_id = o.id order by pe.happened_at desc, pe.id desc limit 1) as program_id,
         (select f.entry_id from operation_figures f join live_entry fe on fe.id = f.entry_id where f.operation_id = o.id order by fe.happened_at desc, fe.id desc limit 1) as figures_id,
         coalesce((select v.machine_id from operation_moved v join live_entry ve on ve.id = v.entry_id where v.operation_id = o.id order by ve.happened_at desc, ve.id desc limit 1), o.machine_id) as machine_id
       from operation o join live_entry e on e.id = o.entry_id join job j on j.id = o.job_id
       left join lateral (select x.* from job_change x join live_entry xe on xe.id = x.entry_id where x.job_id = j.id
         order by xe.happened_at desc, xe.id desc limit 1) c on true) x order by 1`,
  ],
  [
    'minutes, parts, holes and way of each edge set in each material',
    `select edge_set_id, material_id, round(minutes::numeric, 6) as minutes, parts, lower_bound, holes, round(cut_mm::numeric, 3) as cut_mm
     from edge_use order by 1, 2`,
    `select edge_set_id, material_id, round(sum(minutes)::numeric, 6) as minutes, sum(parts)::int as parts, bool_or(lower_bound) as lower_bound,
       case when bool_and(holes is not null) then sum(holes)::int end as holes,
       case when bool_and(cut_mm is not null) then round(sum(cut_mm)::numeric, 3) end as cut_mm
     from (${CUT}) x group by 1, 2 order by 1, 2`,
  ],
  [
    'minutes of each edge set in each material at each speed',
    'select edge_set_id, material_id, rpm, round(minutes::numeric, 6) as minutes from edge_speed order by 1, 2, 3',
    `select edge_set_id, material_id, rpm, round(sum(minutes)::numeric, 6) as minutes from (${CUT}) x where rpm is not null group by 1, 2, 3 order by 1, 2, 3`,
  ],
  [
    'minutes of each edge set by each recipe',
    'select edge_set_id, recipe_id, round(minutes::numeric, 6) as minutes from edge_recipe order by 1, 2',
    `select edge_set_id, recipe_id, round(sum(minutes)::numeric, 6) as minutes from (${RAN}) x where minutes > 0 and recipe_id is not null
     group by 1, 2 order by 1, 2`,
  ],
  [
    'lives',
    'select edge_set_id, piece_id, item_id, fresh, round(minutes::numeric, 6) as minutes, materials, material_id, ended, ended_id, rpm from life_now order by 1',
    `select s.id as edge_set_id, s.piece_id, p.item_id, s.fresh, coalesce(u.minutes, 0.000000) as minutes, coalesce(u.materials, 0) as materials, u.material_id,
       x.kind as ended, x.entry_id as ended_id, v.rpm
     from edge_set s join live_entry e on e.id = s.entry_id join piece p on p.id = s.piece_id
     left join (select edge_set_id, round(sum(minutes)::numeric, 6) as minutes, count(distinct material_id)::int as materials,
                  case when count(distinct material_id) = 1 then min(material_id) end as material_id from (${CUT}) x group by 1) u on u.edge_set_id = s.id
     left join (select l.edge_set_id, l.rpm from (select distinct on (edge_set_id) edge_set_id, rpm from (${CUT}) x where rpm is not null
         group by 1, 2 having sum(minutes) > 0 order by edge_set_id, round(sum(minutes)::numeric, 6) desc, rpm) l
       join (${CUT}) x on x.edge_set_id = l.edge_set_id group by 1, 2
       having round(coalesce(sum(x.minutes) filter (where abs(x.rpm - l.rpm) <= 0.05 * l.rpm), 0)::numeric, 6) >= round(0.9 * sum(x.minutes)::numeric, 6)) v
       on v.edge_set_id = s.id
     left join (select t.edge_set_id, t.kind, t.entry_id from ending t join live_entry te on te.id = t.entry_id) x on x.edge_set_id = s.id order by 1`,
  ],
  [
    'how many lives there are of each cutter in each material',
    'select item_id, material_id, lives from life_line where lives > 0 order by 1, 2',
    'select item_id, material_id, count(*)::int as lives from life_now where fresh and materials = 1 and minutes > 0 group by 1, 2 order by 1, 2',
  ],
  [
    'uses that belong to no cutter',
    'select use_id, operation_id, t from use_open order by 1',
    `select u.id as use_id, l.operation_id, u.t from use u join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id
     where u.edge_set_id is null and not exists (select 1 from use_assignment a join live_entry ae on ae.id = a.entry_id where a.use_id = u.id) order by 1`,
  ],
  [
    'orders with what came of them',
    'select purchase_id, quantity, received, open from purchase_now order by 1',
    `select x.*, received < quantity as open from (
       select p.id as purchase_id, p.quantity,
         coalesce((select sum(r.quantity)::int from receipt r join live_entry re on re.id = r.entry_id where r.purchase_id = p.id), 0) as received
       from purchase p join live_entry e on e.id = p.entry_id) x order by 1`,
  ],
  [
    'pieces that are gone, and pieces to grade',
    'select piece_id, item_id, gone, to_grade from piece_place order by 1',
    `select pp.piece_id, p.item_id, pl.kind in ('scrap', 'lost') as gone,
       exists (select 1 from ending t join live_entry te on te.id = t.entry_id join edge_set es on es.id = t.edge_set_id
               where es.piece_id = p.id and in_crib(pl.kind)
               and not exists (select 1 from edge_set l join live_entry le on le.id = l.entry_id where l.piece_id = p.id and l.id > es.id)
               and not exists (select 1 from grade g join live_entry ge on ge.id = g.entry_id where g.piece_id = p.id and g.entry_id >= t.entry_id)) as to_grade
     from piece_place pp join piece p on p.id = pp.piece_id join place pl on pl.id = pp.place_id order by 1`,
  ],
  [
    'names and use of what was ever named anew',
    'select supplier_id, name, in_use from naming_now order by 1',
    `select supplier_id, name, in_use from (select distinct on (n.supplier_id) n.* from naming n join live_entry e on e.id = n.entry_id
       order by n.supplier_id, e.happened_at desc, e.id desc) x order by 1`,
  ],
  [
    'what somebody must still say of fragments, held parts and cutters held back',
    'select kind, id, operation_id, t, piece_id from waits_now order by 1, 2',
    `select * from (
       select 'fragments' as kind, b.entry_id as id, b.operation_id, b.t, null::int as piece_id from breakage b join live_entry e on e.id = b.entry_id
         where b.fragments and b.operation_id is not null and b.entry_id not in (select f.ending_id from fragments f join live_entry fe on fe.id = f.entry_id)
       union all
       select 'hold', h.id, h.operation_id, null, null from hold h join live_entry e on e.id = h.entry_id
         where exists (select 1 from generate_series(h.first_part, h.last_part) g(n) where not exists
           (select 1 from hold_verdict v join live_entry ve on ve.id = v.entry_id where v.hold_id = h.id and g.n between v.first_part and v.last_part))
       union all
       select 'doubt', d.entry_id, null, null, d.piece_id from piece_doubt d join live_entry e on e.id = d.entry_id
         where d.entry_id not in (select k.doubt_id from piece_cleared k join live_entry ke on ke.id = k.entry_id)) x order by 1, 2`,
  ],
  [
    'clampings of marked holders since they were looked over',
    'select marked_id, clampings from holder_now order by 1',
    `select h.id as marked_id, (select count(distinct x.assembly_id)::int from holder_in x join live_entry xe on xe.id = x.entry_id
       where x.marked_id = h.id and xe.happened_at > coalesce((select max(le.happened_at) from holder_look k join live_entry le on le.id = k.entry_id
         where k.marked_id = h.id), '-infinity')) as clampings
     from marked_holder h join live_entry e on e.id = h.entry_id order by 1`,
  ],
  [
    'builds that each marked holder was clamped in',
    'select marked_id, assembly_id, entry_id, happened_at from clamping_now order by 1, 2',
    `select x.marked_id, x.assembly_id, min(x.entry_id) as entry_id, min(e.happened_at) as happened_at
     from holder_in x join live_entry e on e.id = x.entry_id group by 1, 2 order by 1, 2`,
  ],
  [
    'what lies in the scrap and was not sold',
    'select item_id, total, quantity, known from scrap_now order by 1',
    `with sold as (select l.item_id, max(l.entry_id) as entry_id from scrap_sale_line l join live_entry e on e.id = l.entry_id group by 1),
     heap as (select id from place where kind = 'scrap'),
     since as (select m.item_id, sum(case when m.to_place_id in (select id from heap) then m.quantity else 0 end
         - case when m.from_place_id in (select id from heap) then m.quantity else 0 end)::int as n
       from movement m join sold s on s.item_id = m.item_id and m.entry_id > s.entry_id join entry e on e.id = m.entry_id
       where e.id not in (select counters from entry where counters is not null)
         and (e.counters is null or (e.counters < s.entry_id and m.to_place_id in (select id from heap))) group by 1)
     select b.item_id, sum(b.quantity)::int as total, case when s.item_id is null then sum(b.quantity)::int
         else least(sum(b.quantity)::int, greatest(coalesce(max(i.n), 0), 0)) end as quantity,
       b.item_id in (select f.item_id from fact_now f where f.symbol = 'SUBSTRATE') as known
     from balance b left join sold s on s.item_id = b.item_id left join since i on i.item_id = b.item_id
     where b.quantity > 0 and b.place_id in (select id from heap) group by b.item_id, s.item_id order by 1`,
  ],
  [
    'what was put into each pocket last',
    'select machine_id, pocket, entry_id from pocket_now order by 1, 2',
    `select machine_id, pocket, entry_id from (select distinct on (g.machine_id, g.pocket) g.* from pocket_load g join live_entry e on e.id = g.entry_id
       order by g.machine_id, g.pocket, e.happened_at desc, e.id desc) x order by 1, 2`,
  ],
  [
    'how much lies at each place',
    'select place_id, items, pieces from place_now where items > 0 order by 1',
    'select place_id, count(*)::int as items, sum(quantity)::int as pieces from balance where quantity > 0 group by 1 order by 1',
  ],
];

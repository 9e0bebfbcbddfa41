import { openDatabase } from "@/data/engine/database";
import { sql } from "drizzle-orm";
(async()=>{
 let t=Date.now(); const o=await openDatabase({url:null,folder:'/tmp/jt1',what:'test',mayShare:false}); console.log('open',Date.now()-t);
 const s0=o.pglite!.syncs(); t=Date.now(); for(let i=0;i<50;i++) await o.db.execute(sql`update intake set count=count+1`); console.log('50 commits',Date.now()-t,'syncs',o.pglite!.syncs()-s0);
 console.log((await o.db.execute(sql`select jam_words('Café Émile crème 20718')`)).rows);
 try { await openDatabase({url:null,folder:'/tmp/jt1',what:'test2',mayShare:false}) } catch(e:any){console.log(e.message)}
 const o2=await openDatabase({url:null,folder:'/tmp/jt1',what:'test2',mayShare:true}); console.log((await o2.db.execute(sql`select count from intake`)).rows); await o2.close();
 t=Date.now(); await o.close(); console.log('close',Date.now()-t);
 t=Date.now(); const o3=await openDatabase({url:null,folder:'/tmp/jt1',what:'test',mayShare:false}); console.log('reopen',Date.now()-t); await o3.close();
})();
